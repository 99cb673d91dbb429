using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <summary>Where nobody gave the way an engine runs, "clockwise seen from the front" stood in the book as if it had been read there.</summary>
    public partial class WayOfRunningUnknown : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder) =>
            migrationBuilder.Sql("""UPDATE "EngineTypes" SET "Rotation" = 'which way it runs is not known: look before you bar it' WHERE "Assumed" LIKE '%"rotation"%'""");

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder) =>
            migrationBuilder.Sql("""UPDATE "EngineTypes" SET "Rotation" = 'clockwise seen from the front' WHERE "Assumed" LIKE '%"rotation"%'""");
    }
}
