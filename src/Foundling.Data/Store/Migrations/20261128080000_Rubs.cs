using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261128080000_Rubs")]
    public class Rubs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Rubs",
                columns: table => new
                {
                    Id = table.Column<System.Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Seen = table.Column<string>(type: "TEXT", nullable: false),
                    Grit = table.Column<string>(type: "TEXT", nullable: false),
                    Plate = table.Column<string>(type: "TEXT", nullable: false),
                    Anew = table.Column<bool>(type: "INTEGER", nullable: false),
                    Likely = table.Column<string>(type: "TEXT", nullable: false),
                    Chance = table.Column<double>(type: "REAL", nullable: false),
                    StrokesLeft = table.Column<double>(type: "REAL", nullable: true),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Rubs", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Rubs_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(name: "IX_Rubs_TagNumber", table: "Rubs", column: "TagNumber");
        }
    }
}
