using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261128180000_Across")]
    public class Across : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(name: "FromLeftMm", table: "Findings", type: "REAL", nullable: true);
            migrationBuilder.AddColumn<double>(name: "ToLeftMm", table: "Findings", type: "REAL", nullable: true);
        }
    }
}
