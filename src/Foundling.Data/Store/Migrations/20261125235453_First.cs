using System;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Foundling.Data.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(FoundlingDb))]
    [Migration("20261125235453_First")]
    public class First : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "BookVersions",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Before = table.Column<int>(type: "INTEGER", nullable: true),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    LeftOut = table.Column<string>(type: "TEXT", nullable: false),
                    Book = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Current = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_BookVersions", x => x.Number);
                });

            migrationBuilder.CreateTable(
                name: "Clock",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: false),
                    Step = table.Column<string>(type: "TEXT", nullable: false),
                    Title = table.Column<string>(type: "TEXT", nullable: false),
                    StartedAt = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Clock", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Lots",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Price = table.Column<decimal>(type: "TEXT", nullable: true),
                    Story = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Lots", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "OrphanParts",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Part = table.Column<string>(type: "TEXT", nullable: false),
                    FromTag = table.Column<int>(type: "INTEGER", nullable: true),
                    Note = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    UsedOn = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_OrphanParts", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Shop",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    TemperatureC = table.Column<double>(type: "REAL", nullable: false),
                    HumidityPercent = table.Column<double>(type: "REAL", nullable: false),
                    Rust = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Shop", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "TakenForms",
                columns: table => new
                {
                    Key = table.Column<string>(type: "TEXT", nullable: false),
                    LedTo = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_TakenForms", x => x.Key);
                });

            migrationBuilder.CreateTable(
                name: "Tags",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    LengthMm = table.Column<double>(type: "REAL", nullable: true),
                    IronWidthMm = table.Column<double>(type: "REAL", nullable: true),
                    SoleWidthMm = table.Column<double>(type: "REAL", nullable: true),
                    MouthFrontMm = table.Column<double>(type: "REAL", nullable: true),
                    Purpose = table.Column<string>(type: "TEXT", nullable: true),
                    LotId = table.Column<int>(type: "INTEGER", nullable: true),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Price = table.Column<decimal>(type: "TEXT", nullable: true),
                    ArrivedOn = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Owner = table.Column<string>(type: "TEXT", nullable: false),
                    OwnersMark = table.Column<string>(type: "TEXT", nullable: false),
                    Hand = table.Column<string>(type: "TEXT", nullable: false),
                    Story = table.Column<string>(type: "TEXT", nullable: false),
                    PromisedOn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Aim = table.Column<string>(type: "TEXT", nullable: true),
                    Status = table.Column<string>(type: "TEXT", nullable: false),
                    BookedAt = table.Column<long>(type: "INTEGER", nullable: false),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    KnownLine = table.Column<string>(type: "TEXT", nullable: true),
                    KinColour = table.Column<string>(type: "TEXT", nullable: true),
                    KinShadow = table.Column<string>(type: "TEXT", nullable: true),
                    KinFit = table.Column<string>(type: "TEXT", nullable: true),
                    Tried = table.Column<string>(type: "TEXT", nullable: true),
                    TriedNote = table.Column<string>(type: "TEXT", nullable: false),
                    Decision = table.Column<string>(type: "TEXT", nullable: true),
                    DecisionReason = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tags", x => x.Number);
                    table.ForeignKey(
                        name: "FK_Tags_Lots_LotId",
                        column: x => x.LotId,
                        principalTable: "Lots",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.SetNull);
                });

            migrationBuilder.CreateTable(
                name: "Counts",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    PictureId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Part = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Round = table.Column<string>(type: "TEXT", nullable: false),
                    OutlinePx = table.Column<string>(type: "TEXT", nullable: false),
                    ReferencePx = table.Column<string>(type: "TEXT", nullable: false),
                    ReferenceMm = table.Column<double>(type: "REAL", nullable: true),
                    Points = table.Column<int>(type: "INTEGER", nullable: false),
                    Seed = table.Column<int>(type: "INTEGER", nullable: false),
                    Answers = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Counts", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Counts_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Findings",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Part = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Severity = table.Column<int>(type: "INTEGER", nullable: false),
                    Note = table.Column<string>(type: "TEXT", nullable: false),
                    Round = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: false),
                    PictureId = table.Column<Guid>(type: "TEXT", nullable: true),
                    FromEdgeMm = table.Column<double>(type: "REAL", nullable: true),
                    CountHits = table.Column<int>(type: "INTEGER", nullable: true),
                    CountPoints = table.Column<int>(type: "INTEGER", nullable: true),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Findings", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Findings_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Log",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Step = table.Column<string>(type: "TEXT", nullable: true),
                    Minutes = table.Column<double>(type: "REAL", nullable: true),
                    Text = table.Column<string>(type: "TEXT", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Log", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Log_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Looks",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false),
                    Trait = table.Column<string>(type: "TEXT", nullable: true),
                    Variant = table.Column<string>(type: "TEXT", nullable: true),
                    Part = table.Column<string>(type: "TEXT", nullable: true),
                    Mark = table.Column<string>(type: "TEXT", nullable: true),
                    Reading = table.Column<string>(type: "TEXT", nullable: true),
                    Soft = table.Column<bool>(type: "INTEGER", nullable: false),
                    Confidence = table.Column<string>(type: "TEXT", nullable: false),
                    NotBeforeYear = table.Column<int>(type: "INTEGER", nullable: true),
                    NotAfterYear = table.Column<int>(type: "INTEGER", nullable: true),
                    IssueYear = table.Column<int>(type: "INTEGER", nullable: true),
                    FilingYear = table.Column<int>(type: "INTEGER", nullable: true),
                    GrantYear = table.Column<int>(type: "INTEGER", nullable: true),
                    PictureId = table.Column<Guid>(type: "TEXT", nullable: true),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Looks", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Looks_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "LooksAside",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Trait = table.Column<string>(type: "TEXT", nullable: false),
                    Reason = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LooksAside", x => x.Id);
                    table.ForeignKey(
                        name: "FK_LooksAside_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Measurements",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Part = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Value = table.Column<double>(type: "REAL", nullable: false),
                    Instrument = table.Column<string>(type: "TEXT", nullable: false),
                    UncertaintyMm = table.Column<double>(type: "REAL", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Measurements", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Measurements_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Pictures",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    File = table.Column<string>(type: "TEXT", nullable: false),
                    Caption = table.Column<string>(type: "TEXT", nullable: false),
                    Width = table.Column<int>(type: "INTEGER", nullable: false),
                    Height = table.Column<int>(type: "INTEGER", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Pictures", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Pictures_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Proofs",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    AsFound = table.Column<bool>(type: "INTEGER", nullable: false),
                    Conditions = table.Column<string>(type: "TEXT", nullable: false),
                    ReadingsMm = table.Column<string>(type: "TEXT", nullable: false),
                    TargetMm = table.Column<double>(type: "REAL", nullable: false),
                    ResolutionMm = table.Column<double>(type: "REAL", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Proofs", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Proofs_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Steps",
                columns: table => new
                {
                    Key = table.Column<string>(type: "TEXT", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false),
                    Stage = table.Column<string>(type: "TEXT", nullable: false),
                    Title = table.Column<string>(type: "TEXT", nullable: false),
                    Parts = table.Column<string>(type: "TEXT", nullable: false),
                    LowMin = table.Column<double>(type: "REAL", nullable: false),
                    LikelyMin = table.Column<double>(type: "REAL", nullable: false),
                    HighMin = table.Column<double>(type: "REAL", nullable: false),
                    WaitMin = table.Column<double>(type: "REAL", nullable: true),
                    LookInMin = table.Column<double>(type: "REAL", nullable: true),
                    OutByMin = table.Column<double>(type: "REAL", nullable: true),
                    Reason = table.Column<string>(type: "TEXT", nullable: false),
                    How = table.Column<string>(type: "TEXT", nullable: false),
                    Materials = table.Column<string>(type: "TEXT", nullable: false),
                    Caution = table.Column<string>(type: "TEXT", nullable: false),
                    FinishTest = table.Column<string>(type: "TEXT", nullable: false),
                    Undoable = table.Column<bool>(type: "INTEGER", nullable: false),
                    SurfaceLost = table.Column<string>(type: "TEXT", nullable: false),
                    MetalRemovedMm = table.Column<double>(type: "REAL", nullable: false),
                    Block = table.Column<string>(type: "TEXT", nullable: true),
                    Rule = table.Column<string>(type: "TEXT", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    EndedAt = table.Column<long>(type: "INTEGER", nullable: true),
                    SkipReason = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Steps", x => new { x.TagNumber, x.Key });
                    table.ForeignKey(
                        name: "FK_Steps_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Surveys",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Input = table.Column<string>(type: "TEXT", nullable: false),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Surveys", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Surveys_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "Waits",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Step = table.Column<string>(type: "TEXT", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    StartedAt = table.Column<long>(type: "INTEGER", nullable: false),
                    LookInAt = table.Column<long>(type: "INTEGER", nullable: true),
                    ReadyAt = table.Column<long>(type: "INTEGER", nullable: false),
                    MustBeOutAt = table.Column<long>(type: "INTEGER", nullable: true),
                    EndedAt = table.Column<long>(type: "INTEGER", nullable: true),
                    TagNumber = table.Column<int>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Waits", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Waits_Tags_TagNumber",
                        column: x => x.TagNumber,
                        principalTable: "Tags",
                        principalColumn: "Number",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_BookVersions_Current",
                table: "BookVersions",
                column: "Current");

            migrationBuilder.CreateIndex(
                name: "IX_Counts_TagNumber",
                table: "Counts",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Findings_TagNumber",
                table: "Findings",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Log_TagNumber",
                table: "Log",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Looks_TagNumber",
                table: "Looks",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_LooksAside_TagNumber",
                table: "LooksAside",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Measurements_TagNumber",
                table: "Measurements",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_OrphanParts_Kind_Part",
                table: "OrphanParts",
                columns: new[] { "Kind", "Part" });

            migrationBuilder.CreateIndex(
                name: "IX_Pictures_TagNumber",
                table: "Pictures",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Proofs_TagNumber",
                table: "Proofs",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Surveys_TagNumber",
                table: "Surveys",
                column: "TagNumber");

            migrationBuilder.CreateIndex(
                name: "IX_Tags_LotId",
                table: "Tags",
                column: "LotId");

            migrationBuilder.CreateIndex(
                name: "IX_Tags_Status",
                table: "Tags",
                column: "Status");

            migrationBuilder.CreateIndex(
                name: "IX_Waits_TagNumber",
                table: "Waits",
                column: "TagNumber");
        }
    }
}
