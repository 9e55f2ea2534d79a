using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Findings;

/// <summary>What a check may find, by its stable name.</summary>
/// <param name="Code">Stable name: findings and the help go by it.</param>
/// <param name="Name">What it is called.</param>
public sealed record FindingRow(string Code, string Name);

/// <summary>All that checks may find, a row each; the help explains every one.</summary>
public static class FindingTable
{
    public static readonly ImmutableArray<FindingRow> All =
    [
        new("outside-field", "Outside the sewing field"),
        new("in-margin", "In the hoop's margin"),
        new("order-broken", "An order that does not work"),
        new("order-impossible", "Held steps leave no order"),
        new("window-without-ground", "A window without a ground"),
        new("stop-missing", "A stop is missing"),
        new("zone-entered", "Sewn into a zone kept clear"),
        new("zone-left", "Sewn out of a zone"),
        new("no-turning-way", "It can't be turned"),
        new("turning-narrow", "The way to turn it is narrow"),
        new("slider-blocked", "The slider can't pass"),
        new("slider-under-foot", "The foot comes onto the slider"),
        new("align-distance", "The distance to the line does not agree"),
        new("align-unseen", "The line can't be seen"),
        new("taken-out-missing", "Taken out before it is there"),
        new("layer-left-in", "A layer is left in"),
        new("layer-shut-in", "A layer is shut in"),
        new("sewn-face-to-face", "Sewn right sides together"),
        new("sewn-into-waste", "Sewn into what is cut away"),
        new("fold-nothing", "Nothing to fold"),
        new("fold-sewn-down", "The fold is sewn down"),
        new("layer-not-sewn", "A layer that nothing sews"),
        new("edge-not-caught", "An edge that no seam catches"),
        new("iron-at-machine", "Pressed at the machine"),
        new("behind-hoop-on", "Laid behind with the hoop on"),
        new("across-seam", "Across the closing seam"),
        new("near-seam", "Near the closing seam"),
        new("off-its-cloth", "Off its cloth"),
        new("over-topstitching", "On the topstitching"),
        new("opened-scaled", "Opened stitches scaled far"),
        new("opened-hands-missing", "Hands missing between placement and tack-down"),
        new("opened-hidden", "Under other stitches"),
        new("cut-uncovered", "The cut edge is not under its border"),
        new("hole-outside", "A hole crosses the edge"),
        new("hole-too-small", "A hole too small to trim"),
        new("hole-closes", "The cover closes a hole"),
        new("piece-too-small-to-trim", "A piece too small to trim"),
        new("letters-touch", "Letters touch"),
        new("edge-peeps-out", "The cut edge peeps out"),
        new("bite-too-small", "Less bite than wanted"),
        new("edge-not-held", "An edge that nothing holds"),
        new("piece-narrow", "A narrow piece"),
        new("outline-rough", "A rough outline"),
        new("part-too-small", "A part too small for a cover"),
        new("piled-up", "Needle points pile up"),
        new("thick", "Thread lies thick"),
        new("uncovered", "A bare spot"),
        new("spilled", "Stitches outside their place"),
        new("cover-too-wide", "A cover too wide for its corners"),
        new("thread-in-sight", "Thread in sight"),
        new("edge-may-fray", "The edge may fray"),
        new("mat-too-small", "The mat is too small"),
        new("cut-shapes-meet", "Cut shapes meet"),
        new("film-unmirrored", "Film that is not mirrored"),
        new("cut-too-fine", "Too fine for the cutter"),
        new("operation-empty", "An operation leaves nothing"),
        new("operation-too-many", "An operation gives too much"),
        new("crumbs", "Crumbs"),
        new("necks", "Thin bridges"),
        new("thin-ends", "Thin ends"),
        new("edge-crosses-itself", "The edge crosses itself"),
        new("edge-tangled", "A tangled edge"),
        new("piece-buried", "A piece that nobody sees"),
        new("construction-unused", "A construction shape without use"),
        new("font-missing", "A font is missing"),
        new("hidden", "Hidden, but sewn"),
        new("text-small", "Small letters"),
        new("text-sinks", "Letters sink in"),
        new("satin-wide", "Satin too wide"),
        new("satin-thin", "Satin too thin"),
        new("satin-closes", "Compensation closes it"),
        new("element-doubled", "Two elements exactly on each other"),
        new("bobbin-shows", "The bobbin shows"),
        new("shadow-through", "A dark ground shows through"),
        new("cloth-on-itself", "Cloth on the same cloth"),
        new("behind-too-large", "Too large for the hoop's back"),
        new("layer-rides", "A layer rides on the frame"),
        new("thread-unused", "A thread without use"),
        new("threads-alike", "Two threads alike"),
        new("over-limit", "Over a limit"),
        new("mended", "Mended when it was read"),
        new("earlier-making", "Made by an earlier pattern"),
    ];

    private static readonly FrozenDictionary<string, FindingRow> ByCode = All.ToFrozenDictionary(row => row.Code);

    /// <exception cref="KeyNotFoundException">When no row has the code: a check that has none can't tell what it found.</exception>
    public static FindingRow Of(string code) => ByCode[code];
}
