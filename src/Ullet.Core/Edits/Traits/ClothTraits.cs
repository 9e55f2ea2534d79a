using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>A trait of cloth that is applied.</summary>
internal abstract class AppliedTrait(string id, string name, TraitSource source) : Trait(id, name, source)
{
    public sealed override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        AppliqueElement.Of(element) is { } piece ? Of(piece, project) : null;

    private protected abstract TraitValue? Of(AppliqueElement piece, Project project);

    internal sealed override Result<Edit> Given(Element element, TraitValue value) =>
        Given(AppliqueElement.Of(element)!, value);

    private protected abstract Result<Edit> Given(AppliqueElement piece, TraitValue value);
}

/// <summary>How cloth is applied.</summary>
internal sealed class MethodTrait : AppliedTrait
{
    private readonly TraitKinds<Method> _kinds;

    internal MethodTrait()
        : base("method", "Method", TraitSource.Choices)
    {
        SelectsBy = true;
        _kinds = new(Name, AppliqueMethods.All.Select(method => (method.Id, method.Name)));
    }

    public override ImmutableArray<TraitChoice> Choices => _kinds.Choices;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        TraitKinds<Method>.Value(piece.Method);

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        _kinds.Given(value, method => new SetMethod { ElementId = piece.Id, Method = method });
}

/// <summary>What keeps laid cloth in place.</summary>
internal sealed class HoldingTrait : AppliedTrait
{
    private readonly TraitKinds<Holding> _kinds;

    internal HoldingTrait()
        : base("holding", "Kept in place by", TraitSource.Choices)
    {
        _kinds = new(Name, HoldingTable.All.Select(row => (row.Id, row.Name)));
    }

    public override ImmutableArray<TraitChoice> Choices => _kinds.Choices;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        AppliqueMethods.Of(piece.Method).Stages.Contains(StageId.Placement)
            ? TraitKinds<Holding>.Value(piece.Holding)
            : null;

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        _kinds.Given(
            value,
            holding => new SetMethod
            {
                ElementId = piece.Id,
                Method = piece.Method,
                Holding = holding,
            }
        );
}

/// <summary>The kind of its cover, where the method leaves the choice.</summary>
internal sealed class CoverKindTrait : AppliedTrait
{
    private readonly TraitKinds<CoverKind> _kinds;

    internal CoverKindTrait()
        : base("cover", "Cover", TraitSource.Choices)
    {
        SelectsBy = true;
        _kinds = new(Name, CoverTable.All.Select(row => (row.Kind, row.Name)));
    }

    public override ImmutableArray<TraitChoice> Choices => _kinds.Choices;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        piece.Stages.Cover.Off || AppliqueMethods.Of(piece.Method).OnlyCover is not null
            ? null
            : TraitKinds<CoverKind>.Value(CoverChoice.Of(piece, project).Kind);

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        _kinds.Given(value, kind => new SetCoverKind { ElementId = piece.Id, Kind = kind });
}

/// <summary>A length of the band that covers the edge, mm; not had without a cover, nor by one that is a line.</summary>
internal sealed class BandTrait(
    string id,
    string name,
    Func<SatinNumbers, double> read,
    Func<CoverSettings, double, CoverSettings> given
) : AppliedTrait(id, name, TraitSource.Length)
{
    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        !piece.Stages.Cover.Off && CoverChoice.Of(piece, project) is { LiesAcross: true } cover
            ? TraitValue.Of(read(cover.Band))
            : null;

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        new SetCover { ElementId = piece.Id, Cover = given(piece.Stages.Cover, value.Length) };
}
