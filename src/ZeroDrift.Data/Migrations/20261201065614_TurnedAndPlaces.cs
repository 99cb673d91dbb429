using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class TurnedAndPlaces : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropPrimaryKey(
                name: "PK_LockPairs",
                table: "LockPairs");

            migrationBuilder.AddColumn<int>(
                name: "Waiting",
                table: "Visits",
                type: "INTEGER",
                nullable: false,
                defaultValue: -1);

            migrationBuilder.AddColumn<string>(
                name: "Properties",
                table: "Machines",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "Lock",
                table: "LockPairs",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<string>(
                name: "CamMark",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Rotor",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "ShimMarks",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddPrimaryKey(
                name: "PK_LockPairs",
                table: "LockPairs",
                columns: new[] { "VisitKey", "Point", "Lock" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropPrimaryKey(
                name: "PK_LockPairs",
                table: "LockPairs");

            migrationBuilder.DropColumn(
                name: "Waiting",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "Properties",
                table: "Machines");

            migrationBuilder.DropColumn(
                name: "Lock",
                table: "LockPairs");

            migrationBuilder.DropColumn(
                name: "CamMark",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Rotor",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "ShimMarks",
                table: "EngineTypes");

            migrationBuilder.AddPrimaryKey(
                name: "PK_LockPairs",
                table: "LockPairs",
                columns: new[] { "VisitKey", "Point" });
        }
    }
}
