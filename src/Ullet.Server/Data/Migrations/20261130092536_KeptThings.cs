using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ullet.Server.Data.Migrations
{
    /// <inheritdoc />
    public partial class KeptThings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Unit", table: "Projects", type: "TEXT", nullable: true);

            migrationBuilder.CreateTable(
                name: "Kept",
                columns: table => new
                {
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Key = table.Column<string>(type: "TEXT", nullable: false),
                    Json = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Kept", x => new { x.Kind, x.Key });
                }
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Kept");

            migrationBuilder.DropColumn(name: "Unit", table: "Projects");
        }
    }
}
