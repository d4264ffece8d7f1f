using System;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261126211508_PlansAndEvents")]
    public class PlansAndEvents : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // What the steps say is turned into plans, marks and events when the shop is opened: see Upgrade.
            migrationBuilder.RenameTable(name: "Steps", newName: "StepsBefore");

            migrationBuilder.AddColumn<string>(
                name: "EndedBy",
                table: "Waits",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "Kind",
                table: "Waits",
                type: "TEXT",
                nullable: false,
                defaultValue: "Cure");

            migrationBuilder.AddColumn<Guid>(
                name: "PlanId",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Events",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Step = table.Column<string>(type: "TEXT", nullable: true),
                    Minutes = table.Column<double>(type: "REAL", nullable: true),
                    Amount = table.Column<decimal>(type: "TEXT", nullable: true),
                    Text = table.Column<string>(type: "TEXT", nullable: false),
                    Helper = table.Column<string>(type: "TEXT", nullable: false),
                    Corrects = table.Column<Guid>(type: "TEXT", nullable: true),
                    Bound = table.Column<string>(type: "TEXT", nullable: true),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Events", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Events_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Plans",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: false),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Aim = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    Document = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Plans", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Plans_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "StepMarks",
                columns: table => new
                {
                    Deed = table.Column<string>(type: "TEXT", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    EndedAt = table.Column<long>(type: "INTEGER", nullable: true),
                    SkipReason = table.Column<string>(type: "TEXT", nullable: false),
                    AgreedAt = table.Column<long>(type: "INTEGER", nullable: true),
                    Agreed = table.Column<string>(type: "TEXT", nullable: false),
                    AgreedTo = table.Column<string>(type: "TEXT", nullable: false),
                    Overruled = table.Column<string>(type: "TEXT", nullable: false),
                    Arrived = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StepMarks", x => new { x.TagNumber, x.Deed });
                    table.ForeignKey(
                        name: "FK_StepMarks_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.Sql("""
                INSERT INTO Events (Id, At, Kind, Step, Minutes, Amount, Text, Helper, TagNumber)
                SELECT Id, At,
                    CASE Kind WHEN 'Correction' THEN 'Corrected' WHEN 'StepDone' THEN 'Done' WHEN 'StepSkipped' THEN 'LeftOut'
                        WHEN 'StepReopened' THEN 'Reopened' ELSE Kind END,
                    Step, Minutes, Amount, Text, '', TagNumber
                FROM Log
                """);

            migrationBuilder.DropTable(name: "Log");

            migrationBuilder.CreateIndex(
                name: "IX_Waits_ReadyAt",
                table: "Waits",
                column: "ReadyAt",
                filter: "\"EndedAt\" IS NULL");

            migrationBuilder.CreateIndex(
                name: "IX_Events_TagNumber_At",
                table: "Events",
                columns: new[] { "TagNumber", "At" });

            migrationBuilder.CreateIndex(
                name: "IX_Plans_TagNumber_Version",
                table: "Plans",
                columns: new[] { "TagNumber", "Version" },
                unique: true);
        }
    }
}
