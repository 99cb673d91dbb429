using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class InstrumentsAndHands : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Instruments",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Unit = table.Column<string>(type: "TEXT", nullable: true),
                    Blades = table.Column<string>(type: "TEXT", nullable: false),
                    LastCheck = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    CheckEveryMonths = table.Column<int>(type: "INTEGER", nullable: false),
                    Withdrawn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    SuspectFrom = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Instruments", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "SameGaps",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Gap = table.Column<int>(type: "INTEGER", nullable: false),
                    Reading = table.Column<int>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Mm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SameGaps", x => new { x.VisitKey, x.Gap, x.Reading });
                    table.ForeignKey(
                        name: "FK_SameGaps_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "VisitInstruments",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_VisitInstruments", x => new { x.VisitKey, x.NameKey });
                    table.ForeignKey(
                        name: "FK_VisitInstruments_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Instruments_NameKey",
                table: "Instruments",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_VisitInstruments_NameKey",
                table: "VisitInstruments",
                column: "NameKey");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Instruments");

            migrationBuilder.DropTable(
                name: "SameGaps");

            migrationBuilder.DropTable(
                name: "VisitInstruments");
        }
    }
}
