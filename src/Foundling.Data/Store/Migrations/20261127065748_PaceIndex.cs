using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261127065748_PaceIndex")]
    public class PaceIndex : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateIndex(
                name: "IX_Events_Step_Kind_At",
                table: "Events",
                columns: new[] { "Step", "Kind", "At" });
        }
    }
}
