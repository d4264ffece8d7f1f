using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class PatternBook : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "KinColour",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "KinFit",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "KinShadow",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "KnownLine",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "FilingYear",
                table: "Looks",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "GrantYear",
                table: "Looks",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<Guid>(
                name: "PictureId",
                table: "Looks",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "BookVersions",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Before = table.Column<int>(type: "INTEGER", nullable: true),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    LeftOut = table.Column<string>(type: "TEXT", nullable: false),
                    Book = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Current = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_BookVersions", x => x.Number);
                });

            migrationBuilder.CreateTable(
                name: "LooksAside",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Trait = table.Column<string>(type: "TEXT", nullable: false),
                    Reason = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LooksAside", x => x.Id);
                    table.ForeignKey(
                        name: "FK_LooksAside_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_BookVersions_Current",
                table: "BookVersions",
                column: "Current");

            migrationBuilder.CreateIndex(
                name: "IX_LooksAside_TagNumber",
                table: "LooksAside",
                column: "TagNumber");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "BookVersions");

            migrationBuilder.DropTable(
                name: "LooksAside");

            migrationBuilder.DropColumn(
                name: "KinColour",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "KinFit",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "KinShadow",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "KnownLine",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "FilingYear",
                table: "Looks");

            migrationBuilder.DropColumn(
                name: "GrantYear",
                table: "Looks");

            migrationBuilder.DropColumn(
                name: "PictureId",
                table: "Looks");
        }
    }
}
