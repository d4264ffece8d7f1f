using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class Condition : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Decision",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "DecisionReason",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Tried",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "TriedNote",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<Guid>(
                name: "PictureId",
                table: "Findings",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Place",
                table: "Findings",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Round",
                table: "Findings",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.CreateTable(
                name: "Measurements",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Part = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Value = table.Column<double>(type: "REAL", nullable: false),
                    Instrument = table.Column<string>(type: "TEXT", nullable: false),
                    UncertaintyMm = table.Column<double>(type: "REAL", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Measurements", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Measurements_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Measurements_TagNumber",
                table: "Measurements",
                column: "TagNumber");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Measurements");

            migrationBuilder.DropColumn(
                name: "Decision",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "DecisionReason",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "Tried",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "TriedNote",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "PictureId",
                table: "Findings");

            migrationBuilder.DropColumn(
                name: "Place",
                table: "Findings");

            migrationBuilder.DropColumn(
                name: "Round",
                table: "Findings");
        }
    }
}
