using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>A stitch file that was opened in a project: it is kept as it was, and never changed.</summary>
/// <param name="Id">Names this opening for ever.</param>
/// <param name="Name">The file's name.</param>
/// <param name="Asset">The kept file's hash.</param>
/// <param name="Reading">How it was read where it does not say all.</param>
public sealed record OpenedFile(string Id, string Name, string Asset, OpenedReading Reading)
{
    /// <summary>Most files of one project.</summary>
    public const int Most = 100;

    /// <summary>Most sizes of one design.</summary>
    public const int MostSizes = 40;

    /// <summary>The same design in other sizes, this one among them; none for a file that came alone.</summary>
    public ImmutableArray<OpenedSize> Sizes { get; init; } = [];

    /// <summary>Says what is wrong with it, or null.</summary>
    public Refusal? Check() =>
        Limits.CheckName(Name, "The stitch file")
        ?? (
            Sizes.IsDefault || Sizes.Length > MostSizes
                ? new Refusal("sizes-too-many", "sizes", $"A design is opened in up to {MostSizes} sizes.")
                : null
        )
        ?? Sizes
            .Select(size => Limits.CheckName(size.Name, "A size of the design"))
            .FirstOrDefault(no => no is not null)
        ?? (
            Sizes.Select(size => size.Asset).Append(Asset).All(IsAsset)
                ? null
                : new Refusal("file-broken", "openedFiles", $"{Name} names a kept file that can't be one.")
        );

    /// <summary>The hash of a kept file, or nothing for what was lifted out of a pattern.</summary>
    private static bool IsAsset(string asset) =>
        asset.Length == 0 || (asset.Length == 64 && asset.All(char.IsAsciiHexDigitLower));
}

/// <summary>One size of a design.</summary>
/// <param name="Name">The file's name.</param>
/// <param name="Asset">The kept file's hash.</param>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
public sealed record OpenedSize(string Name, string Asset, double Width, double Height);

/// <summary>How a stitch file is read where it does not say so itself.</summary>
public sealed record OpenedReading
{
    /// <summary>Millimetres of one of the file's units; null for as the file says, else 1.</summary>
    public double? MmPerUnit { get; init; }

    /// <summary>True where the file's y grows upwards; null for as the format usually has it.</summary>
    public bool? IsYUp { get; init; }

    /// <summary>True to set the design's middle into the field's centre; false to keep the file's origin there.</summary>
    public bool IsCentred { get; init; }

    /// <summary>Which column of a table holds what: step, block, command, x, y, thread, by the column's number from 0; null for a table
    /// as Ullet writes it.</summary>
    public ImmutableArray<int>? Columns { get; init; }

    public bool Equals(OpenedReading? other) =>
        other is not null
        && MmPerUnit == other.MmPerUnit
        && IsYUp == other.IsYUp
        && IsCentred == other.IsCentred
        && (Columns ?? []).SequenceEqual(other.Columns ?? []);

    public override int GetHashCode() => HashCode.Combine(MmPerUnit, IsYUp, IsCentred);
}
