using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class FeelOfTheFleet : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "FeelSdMm",
                table: "Fleet",
                type: "REAL",
                nullable: false,
                defaultValue: 0.005);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "FeelSdMm",
                table: "Fleet");
        }
    }
}
