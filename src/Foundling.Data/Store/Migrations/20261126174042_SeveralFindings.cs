using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class SeveralFindings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "DepthMm",
                table: "Findings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Doubt",
                table: "Findings",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<double>(
                name: "SizeMm",
                table: "Findings",
                type: "REAL",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "DepthMm",
                table: "Findings");

            migrationBuilder.DropColumn(
                name: "Doubt",
                table: "Findings");

            migrationBuilder.DropColumn(
                name: "SizeMm",
                table: "Findings");
        }
    }
}
