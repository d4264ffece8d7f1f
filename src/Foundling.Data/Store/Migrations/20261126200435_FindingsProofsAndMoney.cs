using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class FindingsProofsAndMoney : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<decimal>(
                name: "SoldFor",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "WayReasons",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<int>(
                name: "Degree",
                table: "Proofs",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Direction",
                table: "Proofs",
                type: "TEXT",
                nullable: false,
                defaultValue: "AtMost");

            migrationBuilder.AddColumn<string>(
                name: "Kind",
                table: "Proofs",
                type: "TEXT",
                nullable: false,
                defaultValue: "shaving");

            migrationBuilder.AddColumn<string>(
                name: "Seen",
                table: "Proofs",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<decimal>(
                name: "Amount",
                table: "Log",
                type: "TEXT",
                nullable: true);

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
                name: "SoldFor",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "WayReasons",
                table: "Tags");

            migrationBuilder.DropColumn(
                name: "Degree",
                table: "Proofs");

            migrationBuilder.DropColumn(
                name: "Direction",
                table: "Proofs");

            migrationBuilder.DropColumn(
                name: "Kind",
                table: "Proofs");

            migrationBuilder.DropColumn(
                name: "Seen",
                table: "Proofs");

            migrationBuilder.DropColumn(
                name: "Amount",
                table: "Log");

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
