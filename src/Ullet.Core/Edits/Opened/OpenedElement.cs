using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An element of opened stitches, with its form and its making.</summary>
internal sealed record OpenedElement(Element Element, OpenedForm Form, OpenedMaking Making)
{
    /// <summary>The element seen so, or why it can't be.</summary>
    internal static Result<OpenedElement> Of(Project project, string id) =>
        project.Find(id) is not { } element ? EditRefusals.NoElement(id)
        : element.IsLocked ? EditRefusals.Locked(element)
        : element is { Form: OpenedForm form, Making: OpenedMaking making } ? new OpenedElement(element, form, making)
        : new Refusal("stitches-not-opened", "elementId", $"{element.Name} is no opened stitches.")
        {
            Kind = RefusalKind.NotPossible,
        };

    internal ImmutableArray<OpenedPoint> Points => Form.Points;

    /// <summary>From the file's mm to the wall.</summary>
    internal Affine Map => OpenedFrame.Map(Form, Element.Box);

    /// <summary>The needle points where they stand on the wall, mm.</summary>
    internal ImmutableArray<OpenedPoint> OnWall()
    {
        var map = Map;
        return [.. Points.Select(point => point with { At = map.Apply(point.At).Rounded(NeedlePack.Grid) })];
    }

    /// <summary>The element with others of its own needle points, each where it was.</summary>
    internal Element With(ImmutableArray<OpenedPoint> points)
    {
        var form = OpenedForm.Of(points);
        var (across, down) = OpenedFrame.Scale(Form, Element.Box);
        var (bounds, middle) = (form.Bounds, Map.Apply(form.Bounds.Centre));
        return Element with
        {
            Form = form,
            Box = Element.Box with
            {
                X = middle.X,
                Y = middle.Y,
                Width = bounds.Width * across,
                Height = bounds.Height * down,
            },
            StaysCentred = false,
        };
    }
}

/// <summary>The numbers that blocks have in their file, when blocks are put between others.</summary>
internal static class OpenedPlaces
{
    /// <summary>The document with a block put behind another one of the same file, above it in the stack.</summary>
    internal static Project InsertedAfter(Project project, Element before, Element added)
    {
        var making = before.MadeAs<OpenedMaking>()!;
        var shifted = project.Elements.Select(element =>
            element.MadeAs<OpenedMaking>() is { } own && own.FileId == making.FileId && own.Place > making.Place
                ? element with
                {
                    Making = own with { Place = own.Place + 1 },
                }
                : element
        );
        var elements = shifted.ToList();
        elements.Insert(
            elements.FindIndex(element => element.Id == before.Id) + 1,
            added with
            {
                Making = added.MadeAs<OpenedMaking>()! with { Place = making.Place + 1 },
            }
        );
        return project with { Elements = [.. elements] };
    }
}
