using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261128090000_Indicator")]
    public class Indicator : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Indicator", table: "Shop", type: "TEXT", nullable: false, defaultValueSql: "''");
            migrationBuilder.AddColumn<string>(name: "IndicatorUnit", table: "Shop", type: "TEXT", nullable: false, defaultValueSql: "'Millimetres'");
            migrationBuilder.AddColumn<bool>(name: "IndicatorTurned", table: "Shop", type: "INTEGER", nullable: false, defaultValue: false);
        }
    }
}
