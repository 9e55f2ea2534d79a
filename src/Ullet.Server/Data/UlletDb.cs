using Microsoft.EntityFrameworkCore;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;

namespace Ullet.Server.Data;

/// <summary>The database: projects, their revisions, assets, and which cut files were handed out.</summary>
public sealed class UlletDb(DbContextOptions<UlletDb> options) : DbContext(options)
{
    public DbSet<ProjectRow> Projects => Set<ProjectRow>();

    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    public DbSet<AssetRow> Assets => Set<AssetRow>();

    public DbSet<ExportRow> Exports => Set<ExportRow>();

    public DbSet<KeptRow> Kept => Set<KeptRow>();

    public DbSet<OrderRow> Orders => Set<OrderRow>();

    public DbSet<OrderChangeRow> OrderChanges => Set<OrderChangeRow>();

    public DbSet<MadeRow> Made => Set<MadeRow>();

    public DbSet<JobRow> Jobs => Set<JobRow>();

    public DbSet<JobItemRow> JobItems => Set<JobItemRow>();

    public DbSet<TagRow> Tags => Set<TagRow>();

    public DbSet<SetRow> Sets => Set<SetRow>();

    public DbSet<StashRow> Stash => Set<StashRow>();

    public DbSet<HandedRow> Handed => Set<HandedRow>();

    public DbSet<HandedBytesRow> HandedBytes => Set<HandedBytesRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<ProjectRow>(project =>
        {
            project.HasKey(row => row.Id);
            project.Property(row => row.Id).HasMaxLength(32);
            project.Property(row => row.Unit).HasConversion<string>();
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
        OfOrders(modelBuilder);
        ShelfTables.Configure(modelBuilder);
        modelBuilder.Entity<KeptRow>(kept => kept.HasKey(row => new { row.Kind, row.Key }));
        modelBuilder.Entity<ExportRow>(export =>
        {
            export.HasKey(row => row.Id);
            export.HasIndex(row => row.ProjectId);
            export.Property(row => row.Format).HasConversion<string>();
            export.HasOne<ProjectRow>().WithMany().HasForeignKey(row => row.ProjectId).OnDelete(DeleteBehavior.Cascade);
        });
    }

    private static void OfOrders(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<OrderRow>(order =>
        {
            order.HasKey(row => row.Id);
            order.HasIndex(row => new { row.ProjectId, row.Position });
            order.Property(row => row.State).HasConversion<string>();
            order.HasOne<ProjectRow>().WithMany().HasForeignKey(row => row.ProjectId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<OrderChangeRow>(change =>
        {
            change.HasKey(row => row.Id);
            change.HasIndex(row => row.ProjectId);
            change.HasOne<ProjectRow>().WithMany().HasForeignKey(row => row.ProjectId).OnDelete(DeleteBehavior.Cascade);
        });
        // What was made of orders is kept when its row, or its master, goes.
        modelBuilder.Entity<MadeRow>(made =>
        {
            made.HasKey(row => row.Id);
            made.HasIndex(row => row.OrderId);
            made.HasIndex(row => row.ProjectId);
        });
        modelBuilder.Entity<JobRow>(job =>
        {
            job.HasKey(row => row.Id);
            job.Property(row => row.State).HasConversion<string>();
        });
        modelBuilder.Entity<JobItemRow>(item =>
        {
            item.HasKey(row => new { row.JobId, row.Position });
            item.Property(row => row.State).HasConversion<string>();
            item.HasOne<JobRow>().WithMany().HasForeignKey(row => row.JobId).OnDelete(DeleteBehavior.Cascade);
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

    /// <summary>The unit in which its lengths are shown; null for its document's own. It is no part of the document: undo leaves it.</summary>
    public LengthUnit? Unit { get; set; }

    /// <summary>The set that it belongs to; null for none.</summary>
    public string? SetId { get; set; }

    /// <summary>The state that the facts below were read off; another one than the head's asks for them anew.</summary>
    public long FactsOf { get; set; }

    /// <summary>The hash of that state's snapshot: a damaged one does not have it.</summary>
    public string FactsHash { get; set; } = "";

    /// <summary>Its hoop's name.</summary>
    public string Hoop { get; set; } = "";

    /// <summary>How many elements it has.</summary>
    public int Pieces { get; set; }

    /// <summary>What it is found by besides title and tags, folded: names and words on its wall, cloths, threads, its pattern.</summary>
    public string Words { get; set; } = "";
}

/// <summary>Something that the installation remembers beside its projects.</summary>
public sealed class KeptRow
{
    /// <summary>"hoop" for a hoop that somebody owns, "cut" for how a kind of cloth was cut last.</summary>
    public required string Kind { get; init; }

    /// <summary>Names it among its kind.</summary>
    public required string Key { get; init; }

    public required string Json { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }
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

    /// <summary>What a person calls this state, which is kept for good then; null without.</summary>
    public string? Name { get; set; }

    /// <summary>The document's JSON, compressed.</summary>
    public required byte[] Snapshot { get; init; }
}

/// <summary>Bytes that came from outside, kept by their content.</summary>
public sealed class AssetRow
{
    /// <summary>64 hexadecimal digits.</summary>
    public required string Sha256 { get; init; }

    /// <summary>"project", "drawing", "picture", "sketch", "font", or "font-removed" for one that only documents still need.</summary>
    public required string Kind { get; set; }

    public required byte[] Bytes { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long CreatedAt { get; init; }
}

/// <summary>A cut file that was handed out: the newest of its sheet and format.</summary>
public sealed class ExportRow
{
    public long Id { get; init; }

    public required string ProjectId { get; init; }

    /// <summary>The revision that it was made from.</summary>
    public long Revision { get; init; }

    public required string ClothId { get; init; }

    /// <summary>Which of the cloth's sheets, from 1.</summary>
    public int Sheet { get; init; }

    /// <summary>The one shape in it; empty for a whole sheet.</summary>
    public required string ShapeKey { get; init; }

    public CutFormat Format { get; init; }

    public required string Name { get; init; }

    /// <summary>Stands for what it holds; see CutStamp.</summary>
    public required string Stamp { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }
}
