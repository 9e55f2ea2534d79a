namespace Ullet.Server.Documents;

/// <summary>What takes room in the data folder, bytes.</summary>
/// <param name="Total">The database's file, with what it has set aside.</param>
/// <param name="Projects">The current states of projects on the shelf.</param>
/// <param name="History">Their older states: undo, and what there was before.</param>
/// <param name="Bin">Projects in the bin, with their states.</param>
/// <param name="Files">Fonts and pictures that are used, or may be.</param>
/// <param name="Unused">Imported files, pictures and removed fonts that nothing names any more.</param>
/// <param name="Handed">Files as they were handed out, to be had again.</param>
/// <param name="DiskFree">What the disk has left.</param>
/// <param name="IsLittle">True when that is little enough to be warned of.</param>
public sealed record RoomUsed(
    long Total,
    long Projects,
    long History,
    long Bin,
    long Files,
    long Unused,
    long Handed,
    long DiskFree,
    bool IsLittle
);

/// <summary>What is to be cleared.</summary>
public sealed record RoomWish
{
    /// <summary>Imported files, pictures and removed fonts that nothing names.</summary>
    public bool Unused { get; init; }

    /// <summary>What lies in the bin.</summary>
    public bool Bin { get; init; }

    /// <summary>Handed out files, but the newest of each name.</summary>
    public bool Handed { get; init; }

    /// <summary>Older states but the last 30 of each project, every day's last and those with a name.</summary>
    public bool History { get; init; }
}
