using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261126200435_FindingsProofsAndMoney")]
    public class FindingsProofsAndMoney : Migration
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
    }
}
