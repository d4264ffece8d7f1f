using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261126143344_Guests")]
    public class Guests : Migration
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
    }
}
