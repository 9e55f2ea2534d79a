using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>An outline that an operation is to change.</summary>
/// <param name="Before">What the operations before it left.</param>
/// <param name="BeforeKey">Stands for it in the key.</param>
/// <param name="Operation">What is to be done.</param>
/// <param name="Sources">What it uses, in the order of <see cref="Operation.Sources"/>; for a carving with its gap.</param>
/// <param name="Box">The element's own frame.</param>
public sealed record OperationInput(
    ElementOutline Before,
    ContentHash BeforeKey,
    Operation Operation,
    ImmutableArray<OperationSource> Sources,
    ElementBox Box
);

/// <summary>An outline that an operation uses.</summary>
public sealed record OperationSource(Outline Outline, ContentHash Key);

/// <summary>How an operation went.</summary>
public enum OperationState
{
    Done,

    /// <summary>It changed nothing: its sources do not meet the element, or there is nothing to do.</summary>
    Idle,

    /// <summary>It left nothing.</summary>
    Empty,

    /// <summary>It would give more parts or nodes than anybody cuts or sews; it was passed over.</summary>
    TooMany,
}

/// <summary>What an operation made.</summary>
public sealed record Operated(ElementOutline Outline, OperationState State);

/// <summary>Outline and operation to the changed outline.</summary>
/// <remarks>An operation that works along edges (carve, keep, inset, round, remainders) works on each letter set one by one by
/// itself; one that adds material (join, repeat, mirror) makes one piece of cloth of all of them.</remarks>
public sealed class OperationStation : IStation<OperationInput, Operated>
{
    /// <summary>Results with more parts than this are passed over.</summary>
    public const int MostParts = 400;

    /// <summary>Results with more nodes than this are passed over.</summary>
    public const int MostNodes = 20_000;

    public int Version => 1;

    public long Bytes(Operated output) => output.Outline.Bytes;

    public ContentHash Key(OperationInput input) =>
        ContentHash.Combine([
            ContentHash.Of(input.Operation with { Id = "" }, $"operation-{Version}-{input.BeforeKey}"),
            ContentHash.Of(UsesFrame(input.Operation) ? input.Box : null, "frame"),
            .. input.Sources.Select(source => source.Key),
        ]);

    public Operated Compute(OperationInput input, CancellationToken cancellation)
    {
        var (before, sources) = (input.Before, input.Sources);
        if (before.Whole.IsEmpty)
        {
            return new Operated(before, OperationState.Idle);
        }
        if (IsTooMany(before, input.Operation))
        {
            return new Operated(before, OperationState.TooMany);
        }
        var after = input.Operation switch
        {
            Carve or CutBeneath => EachPart(
                before,
                part => sources.Aggregate(part, (left, source) => OutlineOverlay.Difference(left, source.Outline))
            ),
            KeepOverlap => EachPart(before, part => OutlineOverlay.Intersection(part, Together(sources))),
            Join => OnePart(
                before,
                sources.Aggregate(before.Whole, (sum, source) => OutlineOverlay.Union(sum, source.Outline))
            ),
            MoveEdge move => EachPart(before, part => OutlineOffset.By(part, move.Distance, move.Corners)),
            RoundCorners round => EachPart(before, part => CornerRounding.By(part, round.Radius, round.Side)),
            RepeatInLine or RepeatRound or Mirror => OnePart(
                before,
                Copies.Of(before.Whole, input.Operation, sources, input.Box)
            ),
            Split split => Splitting.Of(before, split, sources, input.Box),
            ClearCrumbs clear => EachPart(before, part => Clearing.Crumbs(part, clear, input.Box)),
            BridgeNecks bridge => EachPart(before, part => Clearing.Bridged(part, bridge, input.Box)),
            CloseHoles close => EachPart(before, part => Clearing.Closed(part, close)),
            CutNecks cut => EachPart(before, part => Clearing.Cut(part, cut, input.Box)),
            _ => throw new ArgumentException($"No operation {input.Operation.GetType().Name}.", nameof(input)),
        };
        cancellation.ThrowIfCancellationRequested();
        var whole = after.Whole;
        return whole.IsEmpty ? new Operated(after, OperationState.Empty)
            : whole.Parts.Length > MostParts || whole.NodeCount > MostNodes
                ? new Operated(before, OperationState.TooMany)
            : new Operated(after, ReferenceEquals(after, before) ? OperationState.Idle : OperationState.Done);
    }

    private static bool UsesFrame(Operation operation) =>
        operation is RepeatInLine or RepeatRound or Mirror or Split or ClearCrumbs or BridgeNecks or CutNecks;

    private static bool IsTooMany(ElementOutline before, Operation operation)
    {
        var copies = operation switch
        {
            RepeatInLine line => line.Count,
            RepeatRound round => round.Count,
            _ => 1,
        };
        return copies > 1
            && (before.Whole.Parts.Length * copies > MostParts * 4 || before.Whole.NodeCount * copies > MostNodes);
    }

    private static Outline Together(ImmutableArray<OperationSource> sources) =>
        sources.Length == 1
            ? sources[0].Outline
            : sources.Aggregate(Outline.Empty, (sum, source) => OutlineOverlay.Union(sum, source.Outline));

    private static ElementOutline OnePart(ElementOutline before, Outline whole) =>
        ReferenceEquals(whole, before.Whole)
            ? before
            : before with
            {
                Whole = whole,
                Parts = before.Parts.IsEmpty ? [] : [new PartOutline(0, null, whole)],
            };

    /// <summary>Changes every part by itself; the whole is what they are together.</summary>
    private static ElementOutline EachPart(ElementOutline before, Func<Outline, Outline> change)
    {
        if (before.Parts.Length <= 1)
        {
            var only = change(before.Whole);
            return ReferenceEquals(only, before.Whole)
                ? before
                : before with
                {
                    Whole = only,
                    Parts = only.IsEmpty || before.Parts.IsEmpty ? [] : [before.Parts[0] with { Outline = only }],
                };
        }
        var parts = before.Parts.Select(part => part with { Outline = change(part.Outline) }).ToList();
        if (parts.Zip(before.Parts).All(pair => ReferenceEquals(pair.First.Outline, pair.Second.Outline)))
        {
            return before;
        }
        ImmutableArray<PartOutline> left = [.. parts.Where(part => !part.Outline.IsEmpty)];
        return before with { Whole = FilledOutline.Joined([.. left.Select(part => part.Outline)]), Parts = left };
    }
}
