using System.Collections.Immutable;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Core.Edits;

/// <summary>Sets a drawing that a person put on the shelf: what was made so when it was kept has its settings still.</summary>
internal static class OwnSketchSetting
{
    /// <summary>The project with the drawing on top; the drawing's size was checked.</summary>
    internal static Result<Project> Set(
        Project project,
        OwnSketch own,
        Sketch drawn,
        AddSketch wish,
        EditContext context
    )
    {
        var left = SketchFit.LeftOut(drawn, wish.Way, wish.Size);
        var scale = wish.Size / own.LargerSide;
        var elements = own
            .Clip.Elements.Select(
                (element, i) =>
                    Placed(element, scale, wish.Place(project, context)) with
                    {
                        Sketch = new SketchUse(wish.SketchId, i) { Own = own.NatureOf(element) },
                    }
            )
            .Where((_, i) => !left.Contains(i))
            .ToImmutableArray();
        return new PasteElements { Clip = own.Clip with { Elements = elements }, Aside = 0 }
            .Apply(project, context)
            .Then(pasted =>
            {
                var ids = pasted.Elements[^elements.Length..].Select(element => element.Id).ToImmutableArray();
                return new MakeSketch { ElementIds = ids, Way = wish.Way }.Apply(pasted, context);
            });
    }

    private static Element Placed(Element element, double scale, Point middle) =>
        element with
        {
            Box = element.Box.Scaled(scale).Moved(middle.X, middle.Y),
            Form = FormModules.Of(element.Form).Scaled(element.Form, scale, scale),
        };
}
