using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261128050000_Stores")]
    public class Stores : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            foreach (string amount in new[] { "Amount", "Least", "Pack", "Ordered" })
            {
                migrationBuilder.AddColumn<double>(name: amount, table: "StoreItems", type: "REAL", nullable: true);
            }
            foreach (string text in new[] { "OpenedOn", "BestBefore", "Grain" })
            {
                migrationBuilder.AddColumn<string>(name: text, table: "StoreItems", type: "TEXT", nullable: true);
            }
            foreach (string text in new[] { "Place", "Name", "Unit" })
            {
                migrationBuilder.AddColumn<string>(name: text, table: "StoreItems", type: "TEXT", nullable: false, defaultValueSql: "''");
            }
            migrationBuilder.AddColumn<string>(name: "Class", table: "StoreItems", type: "TEXT", nullable: false, defaultValueSql: "'Sundry'");
            migrationBuilder.AddColumn<double>(name: "Price", table: "StoreItems", type: "REAL", nullable: false, defaultValueSql: "0");

            migrationBuilder.CreateTable(
                name: "StoreMoves",
                columns: table => new
                {
                    Id = table.Column<System.Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Item = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Change = table.Column<double>(type: "REAL", nullable: false),
                    Before = table.Column<double>(type: "REAL", nullable: true),
                    Tag = table.Column<int>(type: "INTEGER", nullable: true),
                    Step = table.Column<string>(type: "TEXT", nullable: true),
                    Bath = table.Column<int>(type: "INTEGER", nullable: true),
                    Text = table.Column<string>(type: "TEXT", nullable: false),
                    TakesBack = table.Column<System.Guid>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StoreMoves", x => x.Id);
                });

            migrationBuilder.CreateIndex(name: "IX_StoreMoves_Item_At", table: "StoreMoves", columns: ["Item", "At"]);

            migrationBuilder.CreateIndex(name: "IX_StoreMoves_Tag_Step", table: "StoreMoves", columns: ["Tag", "Step"]);

            migrationBuilder.CreateIndex(name: "IX_StoreMoves_Bath", table: "StoreMoves", column: "Bath");
        }
    }
}
