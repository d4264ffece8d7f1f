using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class ProofsByKind : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
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
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
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
        }
    }
}
