using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261128010000_Baths")]
    public class Baths : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(name: "Bath", table: "Waits", type: "INTEGER", nullable: true);

            migrationBuilder.CreateTable(
                name: "Baths",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Container = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Percent = table.Column<double>(type: "REAL", nullable: true),
                    Litres = table.Column<double>(type: "REAL", nullable: false),
                    WarmC = table.Column<double>(type: "REAL", nullable: true),
                    SupplyA = table.Column<double>(type: "REAL", nullable: true),
                    MixedAt = table.Column<long>(type: "INTEGER", nullable: false),
                    PouredAt = table.Column<long>(type: "INTEGER", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Baths", x => x.Number);
                });

            migrationBuilder.CreateTable(
                name: "BathEvents",
                columns: table => new
                {
                    Id = table.Column<System.Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Load = table.Column<System.Guid>(type: "TEXT", nullable: true),
                    Note = table.Column<string>(type: "TEXT", nullable: false),
                    BathNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_BathEvents", x => x.Id);
                    table.ForeignKey(
                        name: "FK_BathEvents_Baths_BathNumber",
                        column: x => x.BathNumber,
                        principalTable: "Baths",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(name: "IX_BathEvents_BathNumber", table: "BathEvents", column: "BathNumber");

            migrationBuilder.CreateIndex(name: "IX_Baths_PouredAt", table: "Baths", column: "PouredAt");
        }
    }
}
