using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class OutlookOfTheGroup : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Groups");

            migrationBuilder.AddColumn<string>(
                name: "Said",
                table: "Outlooks",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "BreachCost",
                table: "Fleet",
                type: "REAL",
                nullable: false,
                defaultValue: 20.0);

            migrationBuilder.AddColumn<bool>(
                name: "PlainRisk",
                table: "Fleet",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "FeelChecks",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    KnownMm = table.Column<double>(type: "REAL", nullable: false),
                    FeltMm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_FeelChecks", x => x.Id);
                    table.ForeignKey(
                        name: "FK_FeelChecks_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "TypeFits",
                columns: table => new
                {
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Learned = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_TypeFits", x => x.EngineTypeId);
                });

            migrationBuilder.CreateIndex(
                name: "IX_FeelChecks_PersonId",
                table: "FeelChecks",
                column: "PersonId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "FeelChecks");

            migrationBuilder.DropTable(
                name: "TypeFits");

            migrationBuilder.DropColumn(
                name: "Said",
                table: "Outlooks");

            migrationBuilder.DropColumn(
                name: "BreachCost",
                table: "Fleet");

            migrationBuilder.DropColumn(
                name: "PlainRisk",
                table: "Fleet");

            migrationBuilder.CreateTable(
                name: "Groups",
                columns: table => new
                {
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Mean = table.Column<double>(type: "REAL", nullable: false),
                    TauSquared = table.Column<double>(type: "REAL", nullable: false),
                    VarianceOfMean = table.Column<double>(type: "REAL", nullable: false),
                    VarianceOfTauSquared = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Groups", x => new { x.EngineTypeId, x.Kind });
                });
        }
    }
}
