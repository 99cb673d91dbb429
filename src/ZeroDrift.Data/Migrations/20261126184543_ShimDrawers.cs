using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class ShimDrawers : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "ShimDrawers",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ClosedAt = table.Column<DateTime>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimDrawers", x => x.Id);
                    table.ForeignKey(
                        name: "FK_ShimDrawers_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimMovements",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Access = table.Column<string>(type: "TEXT", nullable: false),
                    DiameterMm = table.Column<double>(type: "REAL", nullable: true),
                    SizeMm = table.Column<double>(type: "REAL", nullable: false),
                    Change = table.Column<int>(type: "INTEGER", nullable: false),
                    Counted = table.Column<int>(type: "INTEGER", nullable: true),
                    KnownBy = table.Column<string>(type: "TEXT", nullable: false),
                    Written = table.Column<string>(type: "TEXT", nullable: false),
                    Unit = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimMovements", x => x.Key);
                    table.ForeignKey(
                        name: "FK_ShimMovements_ShimDrawers_DrawerId",
                        column: x => x.DrawerId,
                        principalTable: "ShimDrawers",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_ShimDrawers_NameKey",
                table: "ShimDrawers",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_ShimDrawers_SiteId",
                table: "ShimDrawers",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimMovements_ActId",
                table: "ShimMovements",
                column: "ActId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimMovements_DrawerId_Access_SizeMm",
                table: "ShimMovements",
                columns: new[] { "DrawerId", "Access", "SizeMm" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "ShimMovements");

            migrationBuilder.DropTable(
                name: "ShimDrawers");
        }
    }
}
