using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ullet.Server.Data.Migrations
{
    /// <inheritdoc />
    public partial class ShelfAndStash : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Name", table: "Revisions", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "FactsHash",
                table: "Projects",
                type: "TEXT",
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<long>(
                name: "FactsOf",
                table: "Projects",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0L
            );

            migrationBuilder.AddColumn<string>(
                name: "Hoop",
                table: "Projects",
                type: "TEXT",
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<int>(
                name: "Pieces",
                table: "Projects",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0
            );

            migrationBuilder.AddColumn<string>(name: "SetId", table: "Projects", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Words",
                table: "Projects",
                type: "TEXT",
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.CreateTable(
                name: "Handed",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    ProjectId = table.Column<string>(type: "TEXT", nullable: false),
                    Revision = table.Column<long>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    MediaType = table.Column<string>(type: "TEXT", nullable: false),
                    Sha256 = table.Column<string>(type: "TEXT", nullable: false),
                    Length = table.Column<long>(type: "INTEGER", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Handed", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Handed_Projects_ProjectId",
                        column: x => x.ProjectId,
                        principalTable: "Projects",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "HandedBytes",
                columns: table => new
                {
                    Sha256 = table.Column<string>(type: "TEXT", nullable: false),
                    Bytes = table.Column<byte[]>(type: "BLOB", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HandedBytes", x => x.Sha256);
                }
            );

            migrationBuilder.CreateTable(
                name: "Sets",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Sets", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Stash",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Json = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Stash", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Tags",
                columns: table => new
                {
                    ProjectId = table.Column<string>(type: "TEXT", nullable: false),
                    Key = table.Column<string>(type: "TEXT", nullable: false),
                    Tag = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tags", x => new { x.ProjectId, x.Key });
                    table.ForeignKey(
                        name: "FK_Tags_Projects_ProjectId",
                        column: x => x.ProjectId,
                        principalTable: "Projects",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "IX_Handed_ProjectId", table: "Handed", column: "ProjectId");

            migrationBuilder.CreateIndex(name: "IX_Stash_Kind", table: "Stash", column: "Kind");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Handed");

            migrationBuilder.DropTable(name: "HandedBytes");

            migrationBuilder.DropTable(name: "Sets");

            migrationBuilder.DropTable(name: "Stash");

            migrationBuilder.DropTable(name: "Tags");

            migrationBuilder.DropColumn(name: "Name", table: "Revisions");

            migrationBuilder.DropColumn(name: "FactsHash", table: "Projects");

            migrationBuilder.DropColumn(name: "FactsOf", table: "Projects");

            migrationBuilder.DropColumn(name: "Hoop", table: "Projects");

            migrationBuilder.DropColumn(name: "Pieces", table: "Projects");

            migrationBuilder.DropColumn(name: "SetId", table: "Projects");

            migrationBuilder.DropColumn(name: "Words", table: "Projects");
        }
    }
}
