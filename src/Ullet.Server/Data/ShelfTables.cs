using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>A tag of a project.</summary>
public sealed class TagRow
{
    public required string ProjectId { get; init; }

    /// <summary>The tag without case and accents: a project has each once.</summary>
    public required string Key { get; init; }

    /// <summary>The tag as it was typed.</summary>
    public required string Tag { get; init; }
}

/// <summary>A set: projects that belong together, one thing in several sizes first of all.</summary>
public sealed class SetRow
{
    public required string Id { get; init; }

    public required string Name { get; set; }
}

/// <summary>A cloth or a thread of the stash.</summary>
public sealed class StashRow
{
    public required string Id { get; init; }

    /// <summary>"cloth" or "thread".</summary>
    public required string Kind { get; init; }

    public required string Json { get; set; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }
}

/// <summary>A file that was handed out.</summary>
public sealed class HandedRow
{
    public long Id { get; init; }

    public required string ProjectId { get; init; }

    /// <summary>The state that it was made from.</summary>
    public long Revision { get; init; }

    public required string Name { get; init; }

    public required string MediaType { get; init; }

    /// <summary>The hash of its bytes.</summary>
    public required string Sha256 { get; init; }

    public long Length { get; init; }

    /// <summary>When it went out last, Unix ms.</summary>
    public long At { get; set; }
}

/// <summary>The bytes of files that were handed out, each once.</summary>
public sealed class HandedBytesRow
{
    public required string Sha256 { get; init; }

    public required byte[] Bytes { get; init; }
}

/// <summary>The tables of the shelf, the stash and what was handed out.</summary>
internal static class ShelfTables
{
    internal static void Configure(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<TagRow>(tag =>
        {
            tag.HasKey(row => new { row.ProjectId, row.Key });
            tag.HasOne<ProjectRow>().WithMany().HasForeignKey(row => row.ProjectId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<SetRow>(set => set.HasKey(row => row.Id));
        modelBuilder.Entity<StashRow>(stash =>
        {
            stash.HasKey(row => row.Id);
            stash.HasIndex(row => row.Kind);
        });
        modelBuilder.Entity<HandedRow>(handed =>
        {
            handed.HasKey(row => row.Id);
            handed.HasIndex(row => row.ProjectId);
            handed.HasOne<ProjectRow>().WithMany().HasForeignKey(row => row.ProjectId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<HandedBytesRow>(bytes => bytes.HasKey(row => row.Sha256));
    }
}
