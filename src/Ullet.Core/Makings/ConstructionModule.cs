using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>A shape that only serves other elements' operations.</summary>
internal sealed class ConstructionModule : MakingModule<ConstructionMaking>
{
    public override string Kind => "construction";

    public override string Name => "Construction shape";

    public override string Summary => "Neither sewn nor cut: other elements are carved, joined or divided with it.";

    public override string? Unfit(Element element) => null;

    public override Making Begun(Element element, Project project) =>
        new ConstructionMaking { AlongLines = element.Making.FollowsLines };

    private protected override Refusal? Check(ConstructionMaking making) => null;

    private protected override ConstructionMaking Renamed(ConstructionMaking making, IdMap ids) => making;

    private protected override ConstructionMaking AsFirstSet(ConstructionMaking making) => making;

    private protected override string HowMade(ConstructionMaking making, Element element, Project project) =>
        "a construction shape, neither sewn nor cut";
}
