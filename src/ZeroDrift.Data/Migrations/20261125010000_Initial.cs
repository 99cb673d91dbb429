using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class Initial : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "EngineTypes",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Code = table.Column<string>(type: "TEXT", nullable: false, collation: "NOCASE"),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Cycle = table.Column<string>(type: "TEXT", nullable: false),
                    FiringOrder = table.Column<string>(type: "TEXT", nullable: false),
                    FiringAnglesDeg = table.Column<string>(type: "TEXT", nullable: true),
                    Timing_IvoBtdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_IvcAbdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_EvoBbdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_EvcAtdc = table.Column<double>(type: "REAL", nullable: true),
                    RampGuardDeg = table.Column<double>(type: "REAL", nullable: false),
                    Banks = table.Column<string>(type: "TEXT", nullable: false),
                    Layout = table.Column<string>(type: "TEXT", nullable: false),
                    Adjuster = table.Column<string>(type: "TEXT", nullable: false),
                    PitchMm = table.Column<double>(type: "REAL", nullable: true),
                    ClearancePerTravel = table.Column<double>(type: "REAL", nullable: false),
                    ClockwiseCloses = table.Column<bool>(type: "INTEGER", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: false),
                    Rotation = table.Column<string>(type: "TEXT", nullable: false),
                    BarringTool = table.Column<string>(type: "TEXT", nullable: false),
                    ToolTurnsPerCrankTurn = table.Column<double>(type: "REAL", nullable: false),
                    BookHours = table.Column<double>(type: "REAL", nullable: true),
                    BookMonths = table.Column<int>(type: "INTEGER", nullable: true),
                    FirstCheckHours = table.Column<double>(type: "REAL", nullable: true),
                    BreakInHours = table.Column<double>(type: "REAL", nullable: false),
                    JobHours = table.Column<double>(type: "REAL", nullable: false),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    BookStops = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_EngineTypes", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Fleet",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Risk = table.Column<double>(type: "REAL", nullable: false),
                    ToleranceTightMm = table.Column<double>(type: "REAL", nullable: false),
                    ToleranceLooseMm = table.Column<double>(type: "REAL", nullable: false),
                    TimeZone = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Fleet", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Engines",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false, collation: "NOCASE"),
                    Machine = table.Column<string>(type: "TEXT", nullable: false),
                    Site = table.Column<string>(type: "TEXT", nullable: false),
                    EngineTypeId = table.Column<Guid>(type: "TEXT", nullable: false),
                    DutyHoursPerDay = table.Column<double>(type: "REAL", nullable: false),
                    MonthlyWeights = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Engines", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Engines_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "LashPoints",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    EngineTypeId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Label = table.Column<string>(type: "TEXT", nullable: false),
                    Cylinder = table.Column<int>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: true),
                    Adjuster = table.Column<string>(type: "TEXT", nullable: false),
                    Bank = table.Column<int>(type: "INTEGER", nullable: false),
                    Along = table.Column<int>(type: "INTEGER", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LashPoints", x => x.Id);
                    table.ForeignKey(
                        name: "FK_LashPoints_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "SpecRevisions",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    EngineTypeId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Revision = table.Column<string>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Lines = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SpecRevisions", x => x.Id);
                    table.ForeignKey(
                        name: "FK_SpecRevisions_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "MeterReadings",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    EngineId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: false),
                    NewMeterShows = table.Column<double>(type: "REAL", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_MeterReadings", x => x.Id);
                    table.ForeignKey(
                        name: "FK_MeterReadings_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Overheads",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    EngineId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Job = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: false),
                    TotalHours = table.Column<double>(type: "REAL", nullable: false),
                    SpecRevisionId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: false),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Blades = table.Column<string>(type: "TEXT", nullable: true),
                    TrayBlades = table.Column<string>(type: "TEXT", nullable: false),
                    TrayUnit = table.Column<string>(type: "TEXT", nullable: false),
                    MeasuringMethod = table.Column<string>(type: "TEXT", nullable: false),
                    EngineTemperatureC = table.Column<double>(type: "REAL", nullable: true),
                    Ticked = table.Column<string>(type: "TEXT", nullable: false),
                    StopsProved = table.Column<string>(type: "TEXT", nullable: false),
                    Answer = table.Column<string>(type: "TEXT", nullable: false),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    StartedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    SignedBy = table.Column<string>(type: "TEXT", nullable: true),
                    SignedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    ImportKey = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Overheads", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Overheads_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "FK_Overheads_SpecRevisions_SpecRevisionId",
                        column: x => x.SpecRevisionId,
                        principalTable: "SpecRevisions",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Readings",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    OverheadId = table.Column<Guid>(type: "TEXT", nullable: false),
                    PointId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Stage = table.Column<string>(type: "TEXT", nullable: false),
                    Written = table.Column<string>(type: "TEXT", nullable: true),
                    Unit = table.Column<string>(type: "TEXT", nullable: false),
                    LowerMm = table.Column<double>(type: "REAL", nullable: true),
                    UpperMm = table.Column<double>(type: "REAL", nullable: true),
                    EstimateMm = table.Column<double>(type: "REAL", nullable: true),
                    UncertaintyMm = table.Column<double>(type: "REAL", nullable: true),
                    ByTheBook = table.Column<bool>(type: "INTEGER", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    KeptAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    CorrectsId = table.Column<Guid>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    Trials = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Readings", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Readings_LashPoints_PointId",
                        column: x => x.PointId,
                        principalTable: "LashPoints",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Readings_Overheads_OverheadId",
                        column: x => x.OverheadId,
                        principalTable: "Overheads",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_EngineTypes_Code",
                table: "EngineTypes",
                column: "Code",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Engines_EngineTypeId",
                table: "Engines",
                column: "EngineTypeId");

            migrationBuilder.CreateIndex(
                name: "IX_Engines_Name",
                table: "Engines",
                column: "Name",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_LashPoints_EngineTypeId_Label",
                table: "LashPoints",
                columns: new[] { "EngineTypeId", "Label" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_EngineId_Date",
                table: "MeterReadings",
                columns: new[] { "EngineId", "Date" });

            migrationBuilder.CreateIndex(
                name: "IX_Overheads_EngineId_TotalHours",
                table: "Overheads",
                columns: new[] { "EngineId", "TotalHours" });

            migrationBuilder.CreateIndex(
                name: "IX_Overheads_ImportKey",
                table: "Overheads",
                column: "ImportKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Overheads_SpecRevisionId",
                table: "Overheads",
                column: "SpecRevisionId");

            migrationBuilder.CreateIndex(
                name: "IX_Readings_CorrectsId",
                table: "Readings",
                column: "CorrectsId",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Readings_OverheadId_PointId_Stage",
                table: "Readings",
                columns: new[] { "OverheadId", "PointId", "Stage" },
                unique: true,
                filter: "CorrectsId IS NULL");

            migrationBuilder.CreateIndex(
                name: "IX_Readings_PointId",
                table: "Readings",
                column: "PointId");

            migrationBuilder.CreateIndex(
                name: "IX_SpecRevisions_EngineTypeId_Revision",
                table: "SpecRevisions",
                columns: new[] { "EngineTypeId", "Revision" },
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Fleet");

            migrationBuilder.DropTable(
                name: "MeterReadings");

            migrationBuilder.DropTable(
                name: "Readings");

            migrationBuilder.DropTable(
                name: "LashPoints");

            migrationBuilder.DropTable(
                name: "Overheads");

            migrationBuilder.DropTable(
                name: "Engines");

            migrationBuilder.DropTable(
                name: "SpecRevisions");

            migrationBuilder.DropTable(
                name: "EngineTypes");
        }
    }
}
