using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>A generator's shape, with holes.</summary>
internal sealed class ShapeModule : FormModule<ShapeForm>
{
    private protected override string Called(ShapeForm form) => ShapeNames.Of(form.Shape);

    private protected override ElementOutline Outline(ShapeForm form, Element element, IGlyphSource fonts) =>
        FilledForm.Outline(form.Shape, form.Holes, element);

    private protected override ContentHash Key(ShapeForm form, IGlyphSource fonts) =>
        FilledForm.Key(form.Shape, form.Holes);

    private protected override Refusal? Check(ShapeForm form) =>
        ShapeLimits.CheckNumbers(form.Shape) ?? FilledForm.CheckHoles(form.Holes);

    private protected override Refusal? CheckAdded(ShapeForm form, Element element, IGlyphSource fonts) =>
        ShapeLimits.Check(form.Shape) ?? FilledForm.CheckAddedHoles(form.Holes);

    private protected override string? Missing(ShapeForm form) =>
        form.Shape is DrawnShape ? "its generator is a drawing" : FilledForm.Missing(form.Holes);

    private protected override ShapeForm Clamped(ShapeForm form) =>
        new(ShapeLimits.Clamped(form.Shape)) { Holes = FilledForm.Clamped(form.Holes) };

    private protected override ShapeForm Scaled(ShapeForm form, double across, double down) =>
        form with
        {
            Holes = FilledForm.Scaled(form.Holes, across, down),
        };

    private protected override int Curves(ShapeForm form) => FilledForm.Curves(form.Holes);

    private protected override IEnumerable<(string What, int Count, int Most)> Counts(ShapeForm form) =>
        FilledForm.Counts(form.Holes);
}
