using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>A region that is never sewn: kept clear, kept within, or only looked at.</summary>
internal sealed class ZoneModule : MakingModule<ZoneMaking>
{
    public override string Kind => "zone";

    public override string Name => "Zone";

    public override string Summary =>
        "Never sewn: stitching is kept out of it, or within it, or it only guides the eye.";

    public override string? Unfit(Element element) => NeedsArea(element, "a zone");

    public override Making Begun(Element element, Project project) => new ZoneMaking();

    private protected override Refusal? Check(ZoneMaking making) => null;

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(ZoneMaking making) =>
        [("passages through one zone", making.Allows.Length, ZoneMaking.MostAllowed)];

    private protected override ZoneMaking Renamed(ZoneMaking making, IdMap ids) =>
        making with
        {
            Allows = [.. making.Allows.Select(id => ids.Elements.GetValueOrDefault(id)).OfType<string>()],
            From = ids.Step(making.From),
            Until = ids.Step(making.Until),
        };

    private protected override ZoneMaking AsFirstSet(ZoneMaking making) => making;

    private protected override string HowMade(ZoneMaking making, Element element, Project project) =>
        making.Role switch
        {
            ZoneRole.KeepClear => "a zone that is kept clear",
            ZoneRole.StayWithin => "a zone within which all stays",
            ZoneRole.Guide => "a guide for the eyes",
        };
}
