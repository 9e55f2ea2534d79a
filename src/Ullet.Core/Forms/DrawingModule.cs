using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>A drawing: taken as the area that its lines enclose, or as the lines themselves.</summary>
internal sealed class DrawingModule : FormModule<DrawingForm>
{
    private protected override string Called(DrawingForm form) => "Drawing";

    private protected override ElementOutline Outline(DrawingForm form, Element element, IGlyphSource fonts)
    {
        if (!element.IsLinework)
        {
            return FilledForm.Outline(form.Drawing, form.Holes, element);
        }
        var lines = new Outline([])
        {
            Lines = [.. form.Drawing.Lines.Select(drawn => new OpenPath(DrawnContour.Curves(drawn)))],
        };
        var holes = form.Holes.Select(hole => new OpenPath(PlacedHoles.OnWall(form.Drawing, hole, element.Box).Curves));
        return new ElementOutline(new Outline([]) { Lines = [.. lines.InBox(element.Box).Lines, .. holes] }, []);
    }

    private protected override ContentHash Key(DrawingForm form, IGlyphSource fonts) =>
        FilledForm.Key(form.Drawing, form.Holes);

    private protected override Refusal? Check(DrawingForm form) =>
        ShapeLimits.CheckNumbers(form.Drawing) ?? FilledForm.CheckHoles(form.Holes);

    private protected override Refusal? CheckAdded(DrawingForm form, Element element, IGlyphSource fonts) =>
        (element.IsLinework ? ShapeLimits.CheckLine(form.Drawing) : ShapeLimits.Check(form.Drawing))
        ?? FilledForm.CheckAddedHoles(form.Holes);

    private protected override string? Missing(DrawingForm form) =>
        FilledForm.Missing(form.Drawing) ?? FilledForm.Missing(form.Holes);

    private protected override DrawingForm Clamped(DrawingForm form) =>
        new((DrawnShape)ShapeLimits.Clamped(form.Drawing)) { Holes = FilledForm.Clamped(form.Holes) };

    private protected override DrawingForm Scaled(DrawingForm form, double across, double down) =>
        form with
        {
            Holes = FilledForm.Scaled(form.Holes, across, down),
        };

    private protected override int Curves(DrawingForm form) =>
        FilledForm.CurvesOf(form.Drawing) + FilledForm.Curves(form.Holes);

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(DrawingForm form) =>
        FilledForm.Counts(form.Holes);
}
