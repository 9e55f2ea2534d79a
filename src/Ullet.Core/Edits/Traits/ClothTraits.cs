using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>A trait of cloth that is applied.</summary>
internal abstract class AppliedTrait : Trait
{
    public sealed override TraitValue? Of(Element element, Project project, Evaluator evaluator) =>
        AppliqueElement.Of(element) is { } piece ? Of(piece, project) : null;

    private protected abstract TraitValue? Of(AppliqueElement piece, Project project);

    internal sealed override Result<Edit> Given(Element element, TraitValue value) =>
        Given(AppliqueElement.Of(element)!, value);

    private protected abstract Result<Edit> Given(AppliqueElement piece, TraitValue value);

    /// <summary>The cover's band; null without a cover, and for one that is a line.</summary>
    private protected static SatinNumbers? BandOf(AppliqueElement piece, Project project) =>
        !piece.Stages.Cover.Off && CoverChoice.Of(piece, project) is { LiesAcross: true } cover ? cover.Band : null;

    /// <summary>The edit of a piece's whole cover.</summary>
    private protected static Edit Cover(AppliqueElement piece, CoverSettings cover) =>
        new SetCover { ElementId = piece.Id, Cover = cover };
}

/// <summary>How cloth is applied.</summary>
internal sealed class MethodTrait : AppliedTrait
{
    public override string Id => "method";

    public override string Name => "Method";

    public override TraitSource Source => TraitSource.Choices;

    public override ImmutableArray<TraitChoice> Choices =>
        [.. AppliqueMethods.All.Select(method => new TraitChoice(TraitWords.Of(method.Id), method.Name))];

    public override bool SelectsBy => true;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        new(TraitWords.Of(piece.Method));

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        TraitWords
            .Read(value, Name, AppliqueMethods.All.Select(method => method.Id))
            .Then(method => (Result<Edit>)new SetMethod { ElementId = piece.Id, Method = method });
}

/// <summary>What keeps laid cloth in place.</summary>
internal sealed class HoldingTrait : AppliedTrait
{
    public override string Id => "holding";

    public override string Name => "Kept in place by";

    public override TraitSource Source => TraitSource.Choices;

    public override ImmutableArray<TraitChoice> Choices =>
        [.. HoldingTable.All.Select(row => new TraitChoice(TraitWords.Of(row.Id), row.Name))];

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        AppliqueMethods.Of(piece.Method).Stages.Contains(StageId.Placement)
            ? new TraitValue(TraitWords.Of(piece.Holding))
            : null;

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        TraitWords
            .Read(value, Name, HoldingTable.All.Select(row => row.Id))
            .Then(holding =>
                (Result<Edit>)
                    new SetMethod
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
    public override string Id => "cover";

    public override string Name => "Cover";

    public override TraitSource Source => TraitSource.Choices;

    public override ImmutableArray<TraitChoice> Choices =>
        [.. CoverTable.All.Select(row => new TraitChoice(TraitWords.Of(row.Kind), row.Name))];

    public override bool SelectsBy => true;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        piece.Stages.Cover.Off || AppliqueMethods.Of(piece.Method).OnlyCover is not null
            ? null
            : new TraitValue(TraitWords.Of(CoverChoice.Of(piece, project).Kind));

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        TraitWords
            .Read(value, Name, CoverTable.All.Select(row => row.Kind))
            .Then(kind => (Result<Edit>)new SetCoverKind { ElementId = piece.Id, Kind = kind });
}

/// <summary>How wide a band covers the edge, mm.</summary>
internal sealed class CoverWidthTrait : AppliedTrait
{
    public override string Id => "coverWidth";

    public override string Name => "Cover width";

    public override TraitSource Source => TraitSource.Length;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        BandOf(piece, project) is { } band ? new TraitValue("", band.Width) : null;

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        Cover(piece, piece.Stages.Cover with { Width = value.Length });
}

/// <summary>How far apart the cover's threads lie, mm.</summary>
internal sealed class CoverSpacingTrait : AppliedTrait
{
    public override string Id => "coverSpacing";

    public override string Name => "Cover spacing";

    public override TraitSource Source => TraitSource.Length;

    private protected override TraitValue? Of(AppliqueElement piece, Project project) =>
        BandOf(piece, project) is { } band ? new TraitValue("", band.Spacing) : null;

    private protected override Result<Edit> Given(AppliqueElement piece, TraitValue value) =>
        Cover(piece, piece.Stages.Cover with { Spacing = value.Length });
}
