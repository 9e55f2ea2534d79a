using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What is known of a kind of hand step.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="FileWord">Its word in stitch lists, for ever.</param>
/// <param name="Name">Its name in the trade's words, as an order.</param>
/// <param name="Seconds">How long it usually takes hands that know the work.</param>
/// <param name="MayBeOff">True when the work holds without it.</param>
/// <param name="Sentence">What hands do, for somebody who has to choose.</param>
public sealed record HandRow(
    HandKind Kind,
    string FileWord,
    string Name,
    double Seconds,
    bool MayBeOff,
    string Sentence
)
{
    /// <summary>True where a cloth may come into the hoop with it.</summary>
    public bool Lays { get; init; }

    /// <summary>True where it is laid on the hoop's back; false where a person says whether it goes beneath.</summary>
    public bool LaysBehind { get; init; }

    /// <summary>True where a layer goes out of the hoop with it.</summary>
    public bool TakesAway { get; init; }

    /// <summary>True where a layer is folded over with it.</summary>
    public bool Folds { get; init; }

    /// <summary>True where the hoop usually comes off the machine for it.</summary>
    public bool HoopOff { get; init; }
}

/// <summary>All kinds of hand steps, a row each.</summary>
public static class HandTable
{
    public static readonly ImmutableArray<HandRow> All =
    [
        new(HandKind.HoopUp, "hoop-up", "hoop up", 180, false, "Make the hoop up with what is sewn on.")
        {
            HoopOff = true,
        },
        new(HandKind.Lay, "lay", "lay", 45, false, "Lay a cloth on top.") { Lays = true },
        new(HandKind.Trim, "trim", "trim", 150, false, "Cut a cloth back along a stitched line, in the hoop.")
        {
            HoopOff = true,
        },
        new(HandKind.Finish, "finish", "finish", 120, false, "Take the work out of the hoop and make it tidy.")
        {
            HoopOff = true,
        },
        new(HandKind.CutOut, "cut-out", "cut out", 120, false, "Cut a piece out along a line, out of the hoop.")
        {
            HoopOff = true,
        },
        new(HandKind.Fold, "fold", "fold", 60, false, "Fold a layer over along a seam.") { Folds = true },
        new(
            HandKind.LayBehind,
            "lay-behind",
            "lay behind",
            90,
            false,
            "Turn the hoop over and lay a cloth on its back."
        )
        {
            Lays = true,
            LaysBehind = true,
            HoopOff = true,
        },
        new(
            HandKind.OpenZip,
            "open-zip",
            "open the zip",
            30,
            false,
            "Pull the slider back, so that the work can be turned."
        ),
        new(HandKind.CloseZip, "close-zip", "close the zip", 30, false, "Pull the slider shut."),
        new(
            HandKind.Insert,
            "insert",
            "insert",
            30,
            false,
            "Put something between the layers: a tab, a ribbon, hardware."
        )
        {
            Lays = true,
        },
        new(HandKind.Tape, "tape", "tape", 30, false, "Tape something away from the needle."),
        new(HandKind.Remove, "remove", "remove", 30, false, "Take something out of the hoop again.")
        {
            TakesAway = true,
        },
        new(HandKind.Press, "press", "press", 60, true, "Press flat with an iron.") { HoopOff = true },
        new(HandKind.Turn, "turn", "turn", 180, false, "Turn the work right side out.") { HoopOff = true },
        new(
            HandKind.ChangeBobbin,
            "change-bobbin",
            "change the bobbin",
            60,
            true,
            "Put in a bobbin of another colour."
        ),
        new(HandKind.FreeText, "by-hand", "by hand", 60, true, "Anything else, in your own words."),
    ];

    private static readonly FrozenDictionary<HandKind, HandRow> ByKind = All.ToFrozenDictionary(row => row.Kind);

    public static HandRow Of(HandKind kind) => ByKind[kind];
}
