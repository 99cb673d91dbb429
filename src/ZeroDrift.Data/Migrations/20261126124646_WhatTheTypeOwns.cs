using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class WhatTheTypeOwns : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Photo",
                table: "SpecRevisions",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "BridgeScrew",
                table: "LashPoints",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "Assumed",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "ByKind",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "Fasteners",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true,
                defaultValue: "[]");

            migrationBuilder.AddColumn<double>(
                name: "GasketHours",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Gaskets",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true,
                defaultValue: "[]");

            migrationBuilder.AddColumn<double>(
                name: "HotMinutes",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Letters",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "IntakeExhaust");

            migrationBuilder.AddColumn<bool>(
                name: "NarrowBlade",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<bool>(
                name: "OwnSteps",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<double>(
                name: "PastTdcMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "ResetHotHours",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "RodMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "RunningMethod",
                table: "EngineTypes",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<double>(
                name: "SameWithinMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "ScarceTools",
                table: "EngineTypes",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<double>(
                name: "SecondPassMinutes",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Steps",
                table: "EngineTypes",
                type: "TEXT",
                nullable: true,
                defaultValue: "[]");

            migrationBuilder.AddColumn<double>(
                name: "StrokeMm",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Uniflow_EvcAtdc",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Uniflow_EvoAtdc",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Uniflow_InjectorFrom",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Uniflow_InjectorTo",
                table: "EngineTypes",
                type: "REAL",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "EngineFigures",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    WithdrawnAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Line = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_EngineFigures", x => x.Id);
                    table.ForeignKey(
                        name: "FK_EngineFigures_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_EngineFigures_EngineId",
                table: "EngineFigures",
                column: "EngineId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "EngineFigures");

            migrationBuilder.DropColumn(
                name: "Photo",
                table: "SpecRevisions");

            migrationBuilder.DropColumn(
                name: "BridgeScrew",
                table: "LashPoints");

            migrationBuilder.DropColumn(
                name: "Assumed",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "ByKind",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Fasteners",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "GasketHours",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Gaskets",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "HotMinutes",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Letters",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "NarrowBlade",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "OwnSteps",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "PastTdcMm",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "ResetHotHours",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "RodMm",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "RunningMethod",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "SameWithinMm",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "ScarceTools",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "SecondPassMinutes",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Steps",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "StrokeMm",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Uniflow_EvcAtdc",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Uniflow_EvoAtdc",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Uniflow_InjectorFrom",
                table: "EngineTypes");

            migrationBuilder.DropColumn(
                name: "Uniflow_InjectorTo",
                table: "EngineTypes");
        }
    }
}
