using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class Schools : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "BookName",
                table: "LashPoints",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "DialContact",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Interference",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "Judging",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "Window");

            migrationBuilder.AddColumn<string>(
                name: "Manner",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "BladeOut");

            migrationBuilder.AddColumn<string>(
                name: "Measuring",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "Blades");

            migrationBuilder.AddColumn<string>(
                name: "Order",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "ByCylinder");

            migrationBuilder.AddColumn<string>(
                name: "Pins",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "PulleyMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Setting",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Spark",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<bool>(
                name: "SpeaksCamTurns",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "LockPairs",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    BeforeMm = table.Column<double>(type: "REAL", nullable: false),
                    AfterMm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LockPairs", x => new { x.VisitKey, x.Point });
                    table.ForeignKey(
                        name: "FK_LockPairs_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "LockPairs");

            migrationBuilder.DropColumn(
                name: "BookName",
                table: "LashPoints");

            migrationBuilder.DropColumn(
                name: "DialContact",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Interference",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Judging",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Manner",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Measuring",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Order",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Pins",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "PulleyMm",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Setting",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Spark",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "SpeaksCamTurns",
                table: "EngineTypes");
        }
    }
}
