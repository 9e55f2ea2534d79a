using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Ullet.Server.Data;

/// <summary>Lets the migration tool make a context without starting the server.</summary>
internal sealed class DesignTimeDb : IDesignTimeDbContextFactory<UlletDb>
{
    public UlletDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<UlletDb>().UseSqlite("Data Source=design-time.db").Options);
}
