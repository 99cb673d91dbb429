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
                name: "Blobs",
                columns: table => new
                {
                    Hash = table.Column<string>(type: "TEXT", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ContentType = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Blobs", x => x.Hash);
                });

            migrationBuilder.CreateTable(
                name: "Changes",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Subject = table.Column<string>(type: "TEXT", nullable: false),
                    SubjectId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    What = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Changes", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "EngineTypes",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
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
                    ShimSizesMm = table.Column<string>(type: "TEXT", nullable: true),
                    ShimPerClearance = table.Column<double>(type: "REAL", nullable: false),
                    TravelTurns = table.Column<double>(type: "REAL", nullable: true),
                    SelfLocking = table.Column<bool>(type: "INTEGER", nullable: false),
                    ColdMaxC = table.Column<double>(type: "REAL", nullable: false),
                    DialConversion = table.Column<double>(type: "REAL", nullable: true),
                    Method = table.Column<string>(type: "TEXT", nullable: false),
                    Rotation = table.Column<string>(type: "TEXT", nullable: false),
                    BarringTool = table.Column<string>(type: "TEXT", nullable: false),
                    ToolTurnsPerCrankTurn = table.Column<double>(type: "REAL", nullable: false),
                    BookHours = table.Column<double>(type: "REAL", nullable: true),
                    BookMonths = table.Column<int>(type: "INTEGER", nullable: true),
                    FirstCheckHours = table.Column<double>(type: "REAL", nullable: true),
                    BreakInHours = table.Column<double>(type: "REAL", nullable: false),
                    JobHours = table.Column<double>(type: "REAL", nullable: false),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    BookStops = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_EngineTypes", x => x.Id);
                    table.CheckConstraint("CK_EngineTypes_Pitch", "PitchMm IS NULL OR (PitchMm > 0 AND PitchMm <= 10)");
                });

            migrationBuilder.CreateTable(
                name: "Fleet",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Risk = table.Column<double>(type: "REAL", nullable: false),
                    ToleranceTightMm = table.Column<double>(type: "REAL", nullable: true),
                    ToleranceLooseMm = table.Column<double>(type: "REAL", nullable: true),
                    TimeZone = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Fleet", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Groups",
                columns: table => new
                {
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Mean = table.Column<double>(type: "REAL", nullable: false),
                    VarianceOfMean = table.Column<double>(type: "REAL", nullable: false),
                    TauSquared = table.Column<double>(type: "REAL", nullable: false),
                    VarianceOfTauSquared = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Groups", x => new { x.EngineTypeId, x.Kind });
                });

            migrationBuilder.CreateTable(
                name: "Marks",
                columns: table => new
                {
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    CrankDeg = table.Column<double>(type: "REAL", nullable: false),
                    Trap = table.Column<bool>(type: "INTEGER", nullable: false),
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Marks", x => new { x.EngineId, x.Name });
                });

            migrationBuilder.CreateTable(
                name: "People",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Initials = table.Column<string>(type: "TEXT", nullable: false),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_People", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "RefusedEntries",
                columns: table => new
                {
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Sentence = table.Column<string>(type: "TEXT", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_RefusedEntries", x => new { x.VisitId, x.Id });
                });

            migrationBuilder.CreateTable(
                name: "Sites",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    TimeZone = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Sites", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "LashPoints",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
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
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "SpecRevisions",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Revision = table.Column<string>(type: "TEXT", nullable: false),
                    RevisionKey = table.Column<string>(type: "TEXT", nullable: false),
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
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Machines",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Registration = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Machines", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Machines_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Engines",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    MachineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    SerialNumber = table.Column<string>(type: "TEXT", nullable: true),
                    Rating = table.Column<string>(type: "TEXT", nullable: true),
                    DutyHoursPerDay = table.Column<double>(type: "REAL", nullable: false),
                    MonthlyWeights = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Engines", x => x.Id);
                    table.CheckConstraint("CK_Engines_Duty", "DutyHoursPerDay >= 0 AND DutyHoursPerDay <= 24");
                    table.ForeignKey(
                        name: "FK_Engines_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Engines_Machines_MachineId",
                        column: x => x.MachineId,
                        principalTable: "Machines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Contexts",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                    GivenAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Contexts", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Contexts_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "MeterReadings",
                columns: table => new
                {
                    Sequence = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: false),
                    NewMeterShows = table.Column<double>(type: "REAL", nullable: true),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    ReplacesId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    Withdrawn = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_MeterReadings", x => x.Sequence);
                    table.CheckConstraint("CK_MeterReadings_Hours", "ShownHours >= 0 AND ShownHours <= 1000000");
                    table.ForeignKey(
                        name: "FK_MeterReadings_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Outlooks",
                columns: table => new
                {
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Model = table.Column<string>(type: "TEXT", nullable: false),
                    Fingerprint = table.Column<string>(type: "TEXT", nullable: false),
                    AsOf = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    Version = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Outlooks", x => x.EngineId);
                    table.ForeignKey(
                        name: "FK_Outlooks_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Visits",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ContextId = table.Column<string>(type: "TEXT", nullable: false),
                    ContextAsked = table.Column<string>(type: "TEXT", nullable: true),
                    ImportKey = table.Column<string>(type: "TEXT", nullable: true),
                    Head = table.Column<int>(type: "INTEGER", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Job = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: true),
                    TotalHours = table.Column<double>(type: "REAL", nullable: true),
                    Bench = table.Column<bool>(type: "INTEGER", nullable: false),
                    OpenedBy = table.Column<byte[]>(type: "BLOB", nullable: true),
                    OpenedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    SignedBy = table.Column<byte[]>(type: "BLOB", nullable: true),
                    SignedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Revision = table.Column<string>(type: "TEXT", nullable: true),
                    StartsClock = table.Column<bool>(type: "INTEGER", nullable: false),
                    OutOfTrend = table.Column<bool>(type: "INTEGER", nullable: false),
                    OutOfTrendBecause = table.Column<string>(type: "TEXT", nullable: true),
                    Measured = table.Column<int>(type: "INTEGER", nullable: false),
                    PointCount = table.Column<int>(type: "INTEGER", nullable: false),
                    OutAsFound = table.Column<int>(type: "INTEGER", nullable: false),
                    SetCount = table.Column<int>(type: "INTEGER", nullable: false),
                    Worst = table.Column<string>(type: "TEXT", nullable: true),
                    WorstMm = table.Column<double>(type: "REAL", nullable: true),
                    WorstState = table.Column<string>(type: "TEXT", nullable: true),
                    Corrections = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Visits", x => x.Key);
                    table.CheckConstraint("CK_Visits_Hours", "ShownHours IS NULL OR (ShownHours >= 0 AND ShownHours <= 1000000)");
                    table.ForeignKey(
                        name: "FK_Visits_Contexts_ContextId",
                        column: x => x.ContextId,
                        principalTable: "Contexts",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Visits_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Entries",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Sequence = table.Column<int>(type: "INTEGER", nullable: false),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Entries", x => new { x.VisitKey, x.Sequence });
                    table.CheckConstraint("CK_Entries_Sequence", "Sequence >= 1");
                    table.ForeignKey(
                        name: "FK_Entries_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Readings",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    Stage = table.Column<int>(type: "INTEGER", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ReadingId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    LowerMm = table.Column<double>(type: "REAL", nullable: true),
                    UpperMm = table.Column<double>(type: "REAL", nullable: true),
                    EstimateMm = table.Column<double>(type: "REAL", nullable: true),
                    UncertaintyMm = table.Column<double>(type: "REAL", nullable: true),
                    Dragged = table.Column<bool>(type: "INTEGER", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    LeftWhy = table.Column<string>(type: "TEXT", nullable: true),
                    PartChanged = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Readings", x => new { x.VisitKey, x.Point, x.Stage });
                    table.ForeignKey(
                        name: "FK_Readings_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Changes_SubjectId_Id",
                table: "Changes",
                columns: new[] { "SubjectId", "Id" });

            migrationBuilder.CreateIndex(
                name: "IX_Contexts_EngineId",
                table: "Contexts",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_EngineTypes_NameKey",
                table: "EngineTypes",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Engines_EngineTypeId",
                table: "Engines",
                column: "EngineTypeId");

            migrationBuilder.CreateIndex(
                name: "IX_Engines_MachineId",
                table: "Engines",
                column: "MachineId");

            migrationBuilder.CreateIndex(
                name: "IX_Engines_NameKey",
                table: "Engines",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Entries_VisitKey_Id",
                table: "Entries",
                columns: new[] { "VisitKey", "Id" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_LashPoints_EngineTypeId_Label",
                table: "LashPoints",
                columns: new[] { "EngineTypeId", "Label" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Machines_NameKey",
                table: "Machines",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Machines_SiteId",
                table: "Machines",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_EngineId_Date_Sequence",
                table: "MeterReadings",
                columns: new[] { "EngineId", "Date", "Sequence" });

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_Id",
                table: "MeterReadings",
                column: "Id",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_ReplacesId",
                table: "MeterReadings",
                column: "ReplacesId",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_VisitId",
                table: "MeterReadings",
                column: "VisitId",
                unique: true,
                filter: "VisitId IS NOT NULL AND Withdrawn = 0");

            migrationBuilder.CreateIndex(
                name: "IX_Outlooks_EngineTypeId",
                table: "Outlooks",
                column: "EngineTypeId");

            migrationBuilder.CreateIndex(
                name: "IX_People_NameKey",
                table: "People",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Readings_EngineId_Point",
                table: "Readings",
                columns: new[] { "EngineId", "Point" });

            migrationBuilder.CreateIndex(
                name: "IX_Sites_NameKey",
                table: "Sites",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_SpecRevisions_EngineTypeId_RevisionKey_Condition",
                table: "SpecRevisions",
                columns: new[] { "EngineTypeId", "RevisionKey", "Condition" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Visits_ContextId",
                table: "Visits",
                column: "ContextId");

            migrationBuilder.CreateIndex(
                name: "IX_Visits_EngineId_TotalHours",
                table: "Visits",
                columns: new[] { "EngineId", "TotalHours" });

            migrationBuilder.CreateIndex(
                name: "IX_Visits_Id",
                table: "Visits",
                column: "Id",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Visits_ImportKey",
                table: "Visits",
                column: "ImportKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Visits_Open",
                table: "Visits",
                column: "EngineId",
                unique: true,
                filter: "State = 'Open'");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Blobs");

            migrationBuilder.DropTable(
                name: "Changes");

            migrationBuilder.DropTable(
                name: "Entries");

            migrationBuilder.DropTable(
                name: "Fleet");

            migrationBuilder.DropTable(
                name: "Groups");

            migrationBuilder.DropTable(
                name: "LashPoints");

            migrationBuilder.DropTable(
                name: "Marks");

            migrationBuilder.DropTable(
                name: "MeterReadings");

            migrationBuilder.DropTable(
                name: "Outlooks");

            migrationBuilder.DropTable(
                name: "People");

            migrationBuilder.DropTable(
                name: "Readings");

            migrationBuilder.DropTable(
                name: "RefusedEntries");

            migrationBuilder.DropTable(
                name: "SpecRevisions");

            migrationBuilder.DropTable(
                name: "Visits");

            migrationBuilder.DropTable(
                name: "Contexts");

            migrationBuilder.DropTable(
                name: "Engines");

            migrationBuilder.DropTable(
                name: "EngineTypes");

            migrationBuilder.DropTable(
                name: "Machines");

            migrationBuilder.DropTable(
                name: "Sites");
        }
    }
}
