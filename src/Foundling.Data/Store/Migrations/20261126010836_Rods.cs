using System;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261126010836_Rods")]
    public class Rods : Migration
    {
        /// <summary>Cautions were kept as words; steps keep their keys now.</summary>
        private static readonly (string Key, string Text)[] CautionTexts =
        [
                ("bare-edge", "A bare edge cuts without being felt. Cover it with tape or a strip of cork whenever it is not at the stone."),
                ("acid", "Acid and its mist hurt eyes and skin: goggles and gloves, in moving air. Never mix it with bleach, and follow the data sheet on the packet."),
                ("bath", "The bath is mild but a used one holds dissolved metal: gloves, and keep it from drains until local rules for its disposal are read. Cover it from children and pets."),
                ("solvent", "Solvent fumes burn and make dizzy: open the door, no flame or sparks near. Gloves on, and let the wet cloth dry flat outdoors."),
                ("oily-rags", "Rags wet with drying oil heat up and can set fire to a bin. Lay each one flat outdoors, or drown it in water, before leaving the shop."),
                ("stuck-screw", "A slipping driver goes into the hand that holds the work. Hold the part in the vice, and press down more than you turn."),
                ("slurry", "The slurry hides fresh sharp arrises: keep fingertips above the edge of the sole. Wipe up wet, since the dust is not for breathing."),
                ("grinder", "Face shield on, no gloves, sleeves tied back. Stand beside the wheel while it runs up, and dip before the steel colours."),
                ("old-paint", "Old paint and japanning may hold lead: no dry sanding, wear a particle mask and wipe up wet. Ask your local authority where the waste goes."),
                ("spray", "Spray mist harms lungs and catches fire: outdoors or with extraction, with the mask the can's data sheet names. No flame within reach."),
                ("oven", "Curing coats give off fumes: use an oven that is never used for food, in moving air. Let solvent flash off first, or it may ignite inside."),
                ("wood-dust", "Rosewood and some other dusts make skin and lungs allergic: mask on, scrape rather than sand, sweep up damp."),
                ("spring", "A spring under tension flies at the face. Goggles on, and work inside a clear bag or under a cloth."),
                ("polish", "Metal polish stings eyes and soaks through skin. Gloves on, and keep it from wood, which it blackens."),
                ("wire", "Broken wires fly: goggles and a closed collar. Never wear gloves near a turning brush.")
        ];

        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.RenameColumn(
                name: "Rust",
                table: "Shop",
                newName: "Ways");

            migrationBuilder.AddColumn<string>(
                name: "Rarity",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "SeenCautions",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "Ways",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<string>(
                name: "Wish",
                table: "Tags",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<decimal>(
                name: "WorthSound",
                table: "Tags",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "After",
                table: "Steps",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Agreed",
                table: "Steps",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<long>(
                name: "AgreedAt",
                table: "Steps",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<DateOnly>(
                name: "ArrivesOn",
                table: "Steps",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Choice",
                table: "Steps",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Hand",
                table: "Steps",
                type: "TEXT",
                nullable: false,
                defaultValue: "Rule");

            migrationBuilder.AddColumn<string>(
                name: "WaitsFor",
                table: "Steps",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Dress",
                table: "Shop",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<double>(
                name: "HourRate",
                table: "Shop",
                type: "REAL",
                nullable: false,
                defaultValue: 0.0);

            migrationBuilder.AddColumn<DateOnly>(
                name: "ArrivesOn",
                table: "Findings",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "OnOrder",
                table: "Findings",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "StoreItems",
                columns: table => new
                {
                    Item = table.Column<string>(type: "TEXT", nullable: false),
                    Stock = table.Column<string>(type: "TEXT", nullable: false),
                    ArrivesOn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    At = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StoreItems", x => x.Item);
                });
            // The way to take rust off was a word of its own; it is one of the ways now.
            migrationBuilder.Sql("UPDATE Shop SET Ways = CASE Ways WHEN 'Citric' THEN '[\"rust=citric\"]' WHEN 'ByHand' THEN '[\"rust=abrasive\"]' ELSE '[\"rust=chelating\"]' END;");
            foreach ((string key, string text) in CautionTexts)
            {
                migrationBuilder.Sql($"UPDATE Steps SET Caution = '{key}' WHERE Caution = '{text.Replace("'", "''")}';");
            }
        }
    }
}
