using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Bends the rows of a filled area: they follow an arc across it along their direction.</summary>
public sealed record BendRows : MakingEdit<FilledMaking>
{
    private const int Pieces = 16;

    /// <summary>How far the arc's middle lies from the line between its ends, over their distance; -0.3 to 0.3, 0 for straight rows.</summary>
    public required double By { get; init; }

    public override string Label(Project before) => $"Bend the rows of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, FilledMaking making, Project project)
    {
        if (
            Limits.CheckRange(By, -GuideEdits.MostBend, GuideEdits.MostBend, "", "The bend of the rows", "by") is { } no
        )
        {
            return no;
        }
        if (By == 0)
        {
            return project.With(element.WithSettings(making with { Guide = [] }));
        }
        var box = element.Box;
        var turn = Affine.Rotate(FillChoice.Angle(making, box)).Then(Affine.Translate(box.X, box.Y));
        var half = Math.Sqrt((box.Width * box.Width) + (box.Height * box.Height)) / 2;
        // A parabola's middle lies By over its width away.
        var guide = Enumerable
            .Range(0, Pieces + 1)
            .Select(i => -1 + (2.0 * i / Pieces))
            .Select(x => BoxFit.SpotOf(box, turn.Apply(new Point(x * half, 2 * By * half * ((x * x) - 1)))));
        return GuideEdits.Set(element, making, project, [.. guide]);
    }
}
