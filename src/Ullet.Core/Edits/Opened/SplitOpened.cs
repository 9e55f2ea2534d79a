using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Edits;

/// <summary>Where a block is split.</summary>
public enum SplitWhere
{
    /// <summary>At every trim.</summary>
    Trims,

    /// <summary>At every jump.</summary>
    Jumps,

    /// <summary>At one needle point.</summary>
    Point,

    /// <summary>What a lasso goes round from what it does not.</summary>
    Lasso,
}

/// <summary>Makes several blocks of one, each an element of its own.</summary>
public sealed record SplitOpened : Edit
{
    public const int MostParts = 200;

    public required string ElementId { get; init; }

    public required SplitWhere Where { get; init; }

    /// <summary>The needle point that the later part begins with, counted from 0 among those of the block.</summary>
    public int? At { get; init; }

    /// <summary>The lasso's places, across and down in turn, mm on the wall.</summary>
    public ImmutableArray<double>? Lasso { get; init; }

    public override string Label(Project before) => $"Split {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        OpenedElement
            .Of(project, ElementId)
            .Then(block =>
                Parts(block)
                    .Then(parts =>
                        parts.Count switch
                        {
                            < 2 => NoParts(block),
                            > MostParts => new Refusal(
                                "split-too-many",
                                "where",
                                $"{block.Element.Name} would come to {parts.Count} parts; up to {MostParts} are made. Split off what is needed with a lasso."
                            ),
                            _ => (Result<Project>)Made(project, block, parts),
                        }
                    )
            );

    private Refusal NoParts(OpenedElement block) =>
        new(
            "split-nothing",
            "where",
            Where switch
            {
                SplitWhere.Trims => $"{block.Element.Name} has no trim at which it could be split.",
                SplitWhere.Jumps => $"{block.Element.Name} has no jump at which it could be split.",
                SplitWhere.Point => "There is no stitch on one side of that needle point.",
                SplitWhere.Lasso =>
                    $"The lasso goes round all of {block.Element.Name}, or round none of its needle points.",
            }
        )
        {
            Kind = RefusalKind.NotPossible,
        };

    private Result<List<ImmutableArray<OpenedPoint>>> Parts(OpenedElement block) =>
        Where switch
        {
            SplitWhere.Trims => Between(block.Points, OpenedMove.Trim),
            SplitWhere.Jumps => Between(block.Points, OpenedMove.Jump),
            SplitWhere.Point => AtPoint(block),
            SplitWhere.Lasso => ByLasso(block),
        };

    private static List<ImmutableArray<OpenedPoint>> Between(ImmutableArray<OpenedPoint> points, OpenedMove at)
    {
        var parts = new List<ImmutableArray<OpenedPoint>>();
        var from = 0;
        for (var i = 0; i <= points.Length; i++)
        {
            Budget.Spend();
            var ends = i == points.Length || points[i].Move == at;
            if (!ends)
            {
                continue;
            }
            var end = at == OpenedMove.Trim && i < points.Length ? i + 1 : i;
            if (points[from..end].Any(point => point.Move == OpenedMove.Stitch))
            {
                parts.Add(points[from..end]);
                from = end;
            }
        }
        return parts;
    }

    private Result<List<ImmutableArray<OpenedPoint>>> AtPoint(OpenedElement block)
    {
        if (At is not { } number || number < 0)
        {
            return new Refusal("split-point", "at", "Say at which needle point it is to be split.");
        }
        var stitches = 0;
        for (var i = 0; i < block.Points.Length; i++)
        {
            Budget.Spend();
            if (block.Points[i].Move == OpenedMove.Stitch && stitches++ == number)
            {
                // A jump to the point goes with it.
                var cut = i > 0 && block.Points[i - 1].Move == OpenedMove.Jump ? i - 1 : i;
                return new List<ImmutableArray<OpenedPoint>>(
                    new[] { block.Points[..cut], block.Points[cut..] }.Where(part =>
                        part.Any(point => point.Move == OpenedMove.Stitch)
                    )
                );
            }
        }
        return new Refusal(
            "split-point",
            "at",
            $"{block.Element.Name} has {stitches:N0} needle points; there is none with that number."
        );
    }

    private Result<List<ImmutableArray<OpenedPoint>>> ByLasso(OpenedElement block) =>
        Edits
            .Lasso.Of(Lasso ?? [])
            .Then(area =>
            {
                var wall = block.OnWall();
                return (Result<List<ImmutableArray<OpenedPoint>>>)
                    new List<ImmutableArray<OpenedPoint>>(
                        new[]
                        {
                            OpenedParts.Kept(block.Points, i => !area.Holds(wall[i].At)),
                            OpenedParts.Kept(block.Points, i => area.Holds(wall[i].At)),
                        }.Where(part => part.Any(point => point.Move == OpenedMove.Stitch))
                    );
            });

    private static Project Made(Project project, OpenedElement block, List<ImmutableArray<OpenedPoint>> parts)
    {
        var last = block.Element;
        for (var i = 0; i < parts.Count; i++)
        {
            var part = block.With(parts[i]);
            var making = block.Making with
            {
                Place = last.MadeAs<OpenedMaking>()!.Place,
                Look = BlockReader.LookOf(parts[i]),
                Before = i == 0 ? block.Making.Before : [],
                After = i == parts.Count - 1 ? block.Making.After : [],
            };
            if (i == 0)
            {
                last = part with { Making = making };
                project = project.With(last);
                continue;
            }
            var added = part with
            {
                Id = $"e{project.NextNumber}",
                Name = OpenedNames.Part(block.Element.Name, i + 1),
                Making = making,
            };
            project = OpenedPlaces.InsertedAfter(project with { NextNumber = project.NextNumber + 1 }, last, added);
            last = project.Find(added.Id)!;
        }
        return project;
    }
}
