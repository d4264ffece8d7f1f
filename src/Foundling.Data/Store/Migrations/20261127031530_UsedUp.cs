using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261127031530_UsedUp")]
    public class UsedUp : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "Quantity",
                table: "Events",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Supply",
                table: "Events",
                type: "TEXT",
                nullable: true);
        }
    }
}
