using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What opened stitches are for.</summary>
public enum OpenedRole
{
    Placement,
    TackDown,
    Cover,
    Seam,
    Quilting,
    Lettering,
    Decoration,
    Basting,
}

/// <summary>How opened stitches look, whatever they are for.</summary>
public enum OpenedLook
{
    /// <summary>Once along a line, or round and round.</summary>
    Run,

    /// <summary>Every stitch to and fro and on.</summary>
    Bean,

    /// <summary>Strokes from side to side, close to one another.</summary>
    Satin,

    /// <summary>Strokes from side to side that leave ground between them.</summary>
    Zigzag,

    /// <summary>Along a line with teeth to a side.</summary>
    Blanket,

    /// <summary>A unit again and again.</summary>
    Motif,

    /// <summary>Rows beside one another.</summary>
    Fill,

    /// <summary>None of these, or several.</summary>
    Mixed,
}

/// <summary>What is known of a role.</summary>
/// <param name="Role">Which.</param>
/// <param name="Words">In the trade's words, as stitch files write it.</param>
/// <param name="About">What such stitches do, in a sentence.</param>
/// <param name="IsHeld">True where stitches that look hidden have a job: they are never offered to be taken away.</param>
public sealed record OpenedRoleRow(OpenedRole Role, string Words, string About, bool IsHeld);

/// <summary>All roles of opened stitches, a row each.</summary>
public static class OpenedRoleTable
{
    public static readonly ImmutableArray<OpenedRoleRow> All =
    [
        new(OpenedRole.Placement, "placement", "Shows where a cloth is laid.", true),
        new(OpenedRole.TackDown, "tack-down", "Holds a cloth that was laid.", true),
        new(OpenedRole.Cover, "cover", "Holds or hides a cloth's edge.", true),
        new(OpenedRole.Seam, "seam", "Joins layers for good.", true),
        new(OpenedRole.Quilting, "quilting", "Lines over layers that hold them together and please the eye.", false),
        new(OpenedRole.Lettering, "lettering", "Letters and figures.", false),
        new(OpenedRole.Decoration, "decoration", "Only for the eye.", false),
        new(OpenedRole.Basting, "basting", "Holds until it is taken out.", true),
    ];

    private static readonly FrozenDictionary<OpenedRole, OpenedRoleRow> ByRole = All.ToFrozenDictionary(row =>
        row.Role
    );

    public static OpenedRoleRow Of(OpenedRole role) => ByRole[role];
}

/// <summary>What is known of a look.</summary>
/// <param name="Look">Which.</param>
/// <param name="Words">In the trade's words.</param>
/// <param name="IsRestepped">True where it is stepped anew at another size, false where only its points are moved apart.</param>
public sealed record OpenedLookRow(OpenedLook Look, string Words, bool IsRestepped);

/// <summary>All looks of opened stitches, a row each.</summary>
public static class OpenedLookTable
{
    public static readonly ImmutableArray<OpenedLookRow> All =
    [
        new(OpenedLook.Run, "running stitch", true),
        new(OpenedLook.Bean, "bean stitch", true),
        new(OpenedLook.Satin, "satin", false),
        new(OpenedLook.Zigzag, "zigzag", false),
        new(OpenedLook.Blanket, "blanket stitch", false),
        new(OpenedLook.Motif, "motif", false),
        new(OpenedLook.Fill, "fill", false),
        new(OpenedLook.Mixed, "several kinds of stitch", false),
    ];

    private static readonly FrozenDictionary<OpenedLook, OpenedLookRow> ByLook = All.ToFrozenDictionary(row =>
        row.Look
    );

    public static OpenedLookRow Of(OpenedLook look) => ByLook[look];
}
