using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts an edge round opened stitches: a piece of cloth beneath them whose outline goes round all of them at a distance.</summary>
public sealed record EdgeRound : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>How far outside the stitches the edge lies, mm; 0.5 to 40.</summary>
    public double Distance { get; init; } = 4;

    /// <summary>The cloth; null for the usual one.</summary>
    public string? ClothId { get; init; }

    /// <summary>Bays narrower than twice this are bridged, mm.</summary>
    private const double Bridged = 3;

    public override string Label(Project before) => $"Put an edge round {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (ElementIds.IsDefaultOrEmpty)
        {
            return new Refusal("nothing-selected", "elementIds", "Nothing is selected; select opened stitches first.");
        }
        if (Limits.CheckRange(Distance, 0.5, 40, "mm", "The distance of the edge", "distance") is { } wrong)
        {
            return wrong;
        }
        if ((ClothId is null ? UsualCloths.Of(project) : project.FindCloth(ClothId)) is not { } cloth)
        {
            return EditRefusals.NoCloth(ClothId ?? "");
        }
        var blocks = new List<OpenedElement>();
        foreach (var id in ElementIds)
        {
            var block = OpenedElement.Of(project, id);
            if (!block.IsOk)
            {
                return block.Refusal!;
            }
            blocks.Add(block.Value);
        }
        var lines = blocks
            .SelectMany(block => NeedleSections.Of(block.OnWall()))
            .Where(section => section.Length > 1)
            .Select(section => Simplify.Line(section, 0.1));
        var round = LineBands.Round([.. lines], Distance + Bridged, -Bridged);
        if (round.IsEmpty)
        {
            return new Refusal("edge-nothing", "elementIds", "There is nothing that an edge could go round.");
        }
        var lowest = project
            .Elements.Select((element, i) => (element, i))
            .First(pair => ElementIds.Contains(pair.element.Id))
            .i;
        var made = ImmutableArray.CreateBuilder<Element>();
        foreach (var region in round)
        {
            var part = new OutlinePart(FewCurves.Of(region.Shell, 0.05), []);
            var element = DrawnElements.Piece(part, Point.Zero) with
            {
                Id = $"e{project.NextNumber + made.Count}",
                Name = round.Length == 1 ? "Edge" : $"Edge {made.Count + 1}",
                Making = AddPiece.Begun(project, cloth.Id),
            };
            if (Limits.CheckBox(element.Box, element.Name) is { } large)
            {
                return large;
            }
            made.Add(element);
        }
        return project with
        {
            Elements = project.Elements.InsertRange(lowest, made),
            NextNumber = project.NextNumber + made.Count,
        };
    }
}
