using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class JobsAndPlan : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "WorkedHours",
                table: "Visits",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Skills",
                table: "People",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "WeekHours",
                table: "People",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<byte[]>(
                name: "StandbyGroupId",
                table: "Engines",
                type: "BLOB",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Away",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    MachineId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    From = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    To = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Away", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Away_Machines_MachineId",
                        column: x => x.MachineId,
                        principalTable: "Machines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Away_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Jobs",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Title = table.Column<string>(type: "TEXT", nullable: false),
                    Rule = table.Column<string>(type: "TEXT", nullable: true),
                    DueDate = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    EarliestDate = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Hours = table.Column<double>(type: "REAL", nullable: true),
                    Crew = table.Column<int>(type: "INTEGER", nullable: false),
                    Tools = table.Column<string>(type: "TEXT", nullable: false),
                    AfterJobId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    AfterDays = table.Column<int>(type: "INTEGER", nullable: false),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    MadeAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    Parts = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Jobs", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Jobs_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Jobs_Jobs_AfterJobId",
                        column: x => x.AfterJobId,
                        principalTable: "Jobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "PlanVersions",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    PublishedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Content = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_PlanVersions", x => x.Number);
                });

            migrationBuilder.CreateTable(
                name: "Roads",
                columns: table => new
                {
                    FromId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ToId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Hours = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Roads", x => new { x.FromId, x.ToId });
                    table.ForeignKey(
                        name: "FK_Roads_Sites_FromId",
                        column: x => x.FromId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Roads_Sites_ToId",
                        column: x => x.ToId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "StandbyGroups",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    MostOut = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StandbyGroups", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Tools",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Count = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tools", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Placements",
                columns: table => new
                {
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    MateId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    LastDate = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Pinned = table.Column<bool>(type: "INTEGER", nullable: false),
                    Because = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Placements", x => x.JobId);
                    table.ForeignKey(
                        name: "FK_Placements_Jobs_JobId",
                        column: x => x.JobId,
                        principalTable: "Jobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Placements_People_MateId",
                        column: x => x.MateId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Placements_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Away_MachineId",
                table: "Away",
                column: "MachineId");

            migrationBuilder.CreateIndex(
                name: "IX_Away_PersonId",
                table: "Away",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_AfterJobId",
                table: "Jobs",
                column: "AfterJobId");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_EngineId",
                table: "Jobs",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_State",
                table: "Jobs",
                column: "State");

            migrationBuilder.CreateIndex(
                name: "IX_Placements_MateId",
                table: "Placements",
                column: "MateId");

            migrationBuilder.CreateIndex(
                name: "IX_Placements_PersonId",
                table: "Placements",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_Roads_ToId",
                table: "Roads",
                column: "ToId");

            migrationBuilder.CreateIndex(
                name: "IX_StandbyGroups_NameKey",
                table: "StandbyGroups",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Tools_NameKey",
                table: "Tools",
                column: "NameKey",
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Away");

            migrationBuilder.DropTable(
                name: "Placements");

            migrationBuilder.DropTable(
                name: "PlanVersions");

            migrationBuilder.DropTable(
                name: "Roads");

            migrationBuilder.DropTable(
                name: "StandbyGroups");

            migrationBuilder.DropTable(
                name: "Tools");

            migrationBuilder.DropTable(
                name: "Jobs");

            migrationBuilder.DropColumn(
                name: "WorkedHours",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "Skills",
                table: "People");

            migrationBuilder.DropColumn(
                name: "WeekHours",
                table: "People");

            migrationBuilder.DropColumn(
                name: "StandbyGroupId",
                table: "Engines");
        }
    }
}
