using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>Sets a small drawing on the wall as one group: in cloth, in thread, or in line. What would be too small of it is left out.</summary>
public sealed record AddSketch : Edit
{
    /// <summary>The drawing, by its name for ever.</summary>
    public required string SketchId { get; init; }

    public required SketchWay Way { get; init; }

    /// <summary>Its larger side, mm.</summary>
    public required double Size { get; init; }

    /// <summary>Its middle, mm right of the field's centre; without a place it goes where no other drawing lies.</summary>
    public double? X { get; init; }

    /// <summary>Its middle, mm below the field's centre.</summary>
    public double? Y { get; init; }

    public override string Label(Project before) =>
        $"Set {SketchShelf.Find(SketchId)?.Name.ToLowerInvariant() ?? "a drawing of your own"} {SketchFit.Words(Way)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var own = context.OwnSketches.Find(SketchId);
        if ((SketchShelf.Find(SketchId) ?? own?.Drawn(SketchId)) is not { } sketch)
        {
            return new Refusal("sketch-unknown", "sketchId", $"There is no small drawing \"{SketchId}\".");
        }
        if (SketchFit.Check(sketch, Way, Size) is { } refusal)
        {
            return refusal;
        }
        if (own is not null)
        {
            return OwnSketchSetting.Set(project, own, sketch, this, context);
        }
        var at = Place(project, context);
        var left = SketchFit.LeftOut(sketch, Way, Size);
        var group = $"g{project.NextNumber}";
        var numbers = Enumerable.Range(0, sketch.Parts.Length).Where(i => !left.Contains(i)).ToList();
        var made = ImmutableArray.CreateBuilder<Element>();
        foreach (var number in numbers)
        {
            var part = sketch.Parts[number];
            var element = SketchMaking.Element(sketch, number, Size);
            element = element with
            {
                Id = $"e{project.NextNumber + made.Count}",
                GroupId = numbers.Count > 1 ? group : null,
                Box = element.Box.Moved(at.X, at.Y),
            };
            if (Limits.CheckBox(element.Box, element.Name, mayBeFlat: part.Role == SketchRole.Stroke) is { } wrong)
            {
                return wrong;
            }
            project = SketchStuff.With(project, part, Way);
            made.Add(element with { Making = SketchStuff.Making(project, part, Way, element) });
        }
        return project with
        {
            Elements = project.Elements.AddRange(made),
            NextNumber = project.NextNumber + made.Count,
        };
    }

    /// <summary>Its middle: as given, or where no other drawing of the shelf lies.</summary>
    internal Geometry.Point Place(Project project, EditContext context) =>
        X is not null || Y is not null
            ? new Geometry.Point(X ?? 0, Y ?? 0)
            : FreePlace.OnGround(
                Geometry.Box.Centred(Size, Size),
                project
                    .Elements.Where(element => element.Sketch is not null)
                    .Select(element => Bands.BoxOf(element, context)),
                FreePlace.Field(project)
            );
}
