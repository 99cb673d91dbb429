using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class ShimJobs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "ShimDiameterMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "ShimJobs",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Policy = table.Column<string>(type: "TEXT", nullable: false),
                    ExpectedOn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    MadeAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimJobs", x => x.Id);
                    table.ForeignKey(
                        name: "FK_ShimJobs_ShimDrawers_DrawerId",
                        column: x => x.DrawerId,
                        principalTable: "ShimDrawers",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimJobs_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimJobEvents",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimJobEvents", x => x.Key);
                    table.ForeignKey(
                        name: "FK_ShimJobEvents_ShimJobs_JobId",
                        column: x => x.JobId,
                        principalTable: "ShimJobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "ShimPlaces",
                columns: table => new
                {
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false),
                    OldMm = table.Column<double>(type: "REAL", nullable: false),
                    NewMm = table.Column<double>(type: "REAL", nullable: false),
                    FoundMm = table.Column<double>(type: "REAL", nullable: false),
                    PredictedMm = table.Column<double>(type: "REAL", nullable: false),
                    Origin = table.Column<string>(type: "TEXT", nullable: false),
                    FromPoint = table.Column<string>(type: "TEXT", nullable: true),
                    FromVisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    OldIsOver = table.Column<bool>(type: "INTEGER", nullable: false),
                    OverActId = table.Column<byte[]>(type: "BLOB", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimPlaces", x => new { x.JobId, x.VisitId, x.Point });
                    table.ForeignKey(
                        name: "FK_ShimPlaces_ShimJobs_JobId",
                        column: x => x.JobId,
                        principalTable: "ShimJobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobEvents_ActId",
                table: "ShimJobEvents",
                column: "ActId",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobEvents_JobId",
                table: "ShimJobEvents",
                column: "JobId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobs_DrawerId",
                table: "ShimJobs",
                column: "DrawerId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobs_SiteId",
                table: "ShimJobs",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimPlaces_VisitId",
                table: "ShimPlaces",
                column: "VisitId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "ShimJobEvents");

            migrationBuilder.DropTable(
                name: "ShimPlaces");

            migrationBuilder.DropTable(
                name: "ShimJobs");

            migrationBuilder.DropColumn(
                name: "ShimDiameterMm",
                table: "EngineTypes");
        }
    }
}
