using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class HoursIn : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "HoursFeeds",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    Address = table.Column<string>(type: "TEXT", nullable: true),
                    EveryMinutes = table.Column<int>(type: "INTEGER", nullable: false),
                    AskedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    AnsweredAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Said = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HoursFeeds", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "HoursReports",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Machine = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Hours = table.Column<double>(type: "REAL", nullable: true),
                    Written = table.Column<string>(type: "TEXT", nullable: false),
                    Doubt = table.Column<string>(type: "TEXT", nullable: false),
                    PerhapsHours = table.Column<double>(type: "REAL", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    DecidedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    DecidedBy = table.Column<string>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HoursReports", x => x.Id);
                    table.ForeignKey(
                        name: "FK_HoursReports_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "MachineAliases",
                columns: table => new
                {
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_MachineAliases", x => x.NameKey);
                    table.ForeignKey(
                        name: "FK_MachineAliases_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_HoursReports_EngineId",
                table: "HoursReports",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_HoursReports_State_ReceivedAt",
                table: "HoursReports",
                columns: new[] { "State", "ReceivedAt" });

            migrationBuilder.CreateIndex(
                name: "IX_MachineAliases_EngineId",
                table: "MachineAliases",
                column: "EngineId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "HoursFeeds");

            migrationBuilder.DropTable(
                name: "HoursReports");

            migrationBuilder.DropTable(
                name: "MachineAliases");
        }
    }
}
