using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>The database: projects, their revisions, and assets.</summary>
public sealed class UlletDb(DbContextOptions<UlletDb> options) : DbContext(options)
{
    public DbSet<ProjectRow> Projects => Set<ProjectRow>();

    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    public DbSet<AssetRow> Assets => Set<AssetRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<ProjectRow>(project =>
        {
            project.HasKey(row => row.Id);
            project.Property(row => row.Id).HasMaxLength(32);
        });
        modelBuilder.Entity<RevisionRow>(revision =>
        {
            revision.HasKey(row => row.Id);
            // AUTOINCREMENT: ids are monotone even when the newest revision was thinned out.
            revision.Property(row => row.Id).ValueGeneratedOnAdd();
            revision.HasIndex(row => new { row.ProjectId, row.ParentId });
            revision
                .HasOne<ProjectRow>()
                .WithMany()
                .HasForeignKey(row => row.ProjectId)
                .OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<AssetRow>(asset =>
        {
            asset.HasKey(row => row.Sha256);
            asset.Property(row => row.Sha256).HasMaxLength(64);
        });
    }
}

/// <summary>A project on the shelf (or, with a time of deletion, in the bin).</summary>
public sealed class ProjectRow
{
    public required string Id { get; init; }

    public required string Title { get; set; }

    /// <summary>The revision that is current.</summary>
    public long HeadId { get; set; }

    /// <summary>Unix time, ms.</summary>
    public long CreatedAt { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long UpdatedAt { get; set; }

    /// <summary>Unix time, ms; null while it is on the shelf.</summary>
    public long? DeletedAt { get; set; }
}

/// <summary>One state of a project. Never changed after it was written.</summary>
public sealed class RevisionRow
{
    public long Id { get; init; }

    public required string ProjectId { get; init; }

    /// <summary>The revision that the edit was made on; null for the first.</summary>
    public long? ParentId { get; set; }

    /// <summary>The edit's label.</summary>
    public required string Label { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }

    /// <summary>The document's JSON, compressed.</summary>
    public required byte[] Snapshot { get; init; }
}

/// <summary>Bytes that came from outside, kept by their content.</summary>
public sealed class AssetRow
{
    /// <summary>64 hexadecimal digits.</summary>
    public required string Sha256 { get; init; }

    /// <summary>"project", "drawing", "picture", "font", or "font-removed" for one that only documents still need.</summary>
    public required string Kind { get; set; }

    public required byte[] Bytes { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long CreatedAt { get; init; }
}
