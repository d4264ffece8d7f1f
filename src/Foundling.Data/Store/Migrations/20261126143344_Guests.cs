using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    public partial class Guests : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "IX_Log_TagNumber",
                table: "Log");

            migrationBuilder.AddColumn<long>(
                name: "ImportedAt",
                table: "Tags",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.CreateIndex(
                name: "IX_Log_TagNumber_At",
                table: "Log",
                columns: new[] { "TagNumber", "At" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "IX_Log_TagNumber_At",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "ImportedAt",
                table: "Tags");

            migrationBuilder.CreateIndex(
                name: "IX_Log_TagNumber",
                table: "Log",
                column: "TagNumber");
        }
    }
}
