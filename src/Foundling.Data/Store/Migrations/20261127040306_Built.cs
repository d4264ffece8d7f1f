using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class Built : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Built",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValueSql: "''");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Built",
                table: "Tags");
        }
    }
}
