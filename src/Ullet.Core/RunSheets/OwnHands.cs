using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Hand steps of the user's own as steps of the run sheet.</summary>
internal static class OwnHands
{
    /// <param name="project">The document.</param>
    /// <param name="hand">The step as it was asked for.</param>
    /// <param name="outlineOf">The outline of an element; null for one that is not sewn.</param>
    internal static HandStep Step(Project project, UserHandStep hand, Func<string, Outline?> outlineOf)
    {
        var seam = hand.Insert is { } put ? project.Find(put.On) : null;
        var insert =
            seam is not null && outlineOf(seam.Id) is { } outline ? InsertPlaces.Of(hand.Insert!, outline) : null;
        var work = new HandWork(
            hand.Kind,
            UserHandStep.StageWord,
            hand.Text + InsertWords(project, hand, seam) + Alignment(project, hand),
            hand.Warning ?? (hand.Insert is { } kind ? InsertTable.Of(kind.Kind).Warning : null),
            hand.HoopOff,
            [.. Changes(project, hand, insert, outlineOf)]
        )
        {
            Check = hand.Check,
            AlignsTo = hand.AlignedTo is { } line
                ?
                [
                    new Alignment(line, Distance: hand.AlignDistance)
                    {
                        IsEdge = hand.Insert is null && hand.Kind != HandKind.Fold,
                    },
                ]
                : [],
        };
        return StepGathering.Hand(project, hand.Id, "By hand", work);
    }

    /// <summary>How an insert is folded and laid, with a space before it; nothing for other steps.</summary>
    private static string InsertWords(Project project, UserHandStep hand, Element? seam)
    {
        if (hand.Insert is not { } insert || seam is null || project.FindCloth(hand.ClothId) is not { } cloth)
        {
            return "";
        }
        var side = InsertTable.Sides.First(row => row.Id == insert.Side).Name;
        var purpose = seam.MadeAs<LineMaking>()?.Purpose ?? "edge";
        var fold = string.Format(
            CultureInfo.InvariantCulture,
            InsertTable.Of(insert.Kind).Fold,
            $"{insert.Cut:0.#}",
            cloth.Name
        );
        var text =
            $"{fold}. Lay it at the {side} edge at a right angle to it, its fold {insert.Length:0.#} mm inside and its raw ends "
            + $"{UserInsert.Outside:0} mm outside of where the {purpose} of {seam.Name} runs; tape the raw ends, outside that line.";
        return hand.Text.EndsWith('.') ? $" {text}" : $". {text}";
    }

    private static IEnumerable<LayerChange> Changes(
        Project project,
        UserHandStep hand,
        Region? insert,
        Func<string, Outline?> outlineOf
    )
    {
        if (Laid(project, hand, insert) is { } laid)
        {
            yield return laid;
        }
        if (hand.LayerId is not { } layer)
        {
            yield break;
        }
        if (HandTable.Of(hand.Kind).Folds)
        {
            var own = project.RunSheet.Hands.FirstOrDefault(known => known.Id == layer);
            var known = own is null ? OwnFolds.LaidByPattern(project, layer) : Laid(project, own, null);
            if (OwnFolds.Of(hand, known, outlineOf) is { } folded)
            {
                yield return folded;
            }
        }
        else
        {
            yield return new LayerRemoved(layer);
        }
    }

    /// <summary>The cloth that a step lays; null for none.</summary>
    private static LayerLaid? Laid(Project project, UserHandStep hand, Region? insert) =>
        project.FindCloth(hand.ClothId) is { } cloth
            ? new LayerLaid(
                hand.Id,
                cloth.Name,
                cloth,
                !hand.FaceDown,
                insert is null ? AreaOf(project, hand).Area() : [insert]
            )
            {
                IsBeneath = hand.IsBeneath,
                Role = hand.Role ?? (cloth.IsSurface() && hand.Insert is null ? LayerRole.Outer : LayerRole.Inner),
            }
            : null;

    /// <summary>What its cloth takes: as large as an element and more, as typed, or the whole field; mm.</summary>
    private static Box AreaOf(Project project, UserHandStep hand)
    {
        var hoop = project.Hooping.Hoop;
        return hand.AreaOf is { } id && project.Find(id) is { } element ? Bounds(element.Box).Grown(hand.AreaMore)
            : hand.Area is { } box ? Box.Centred(box.Width, box.Height).Moved(box.X, box.Y)
            : Box.Centred(hoop.FieldWidth, hoop.FieldHeight);
    }

    /// <summary>The upright box about a turned one.</summary>
    private static Box Bounds(ElementBox box)
    {
        var (sin, cos) = Math.SinCos(box.Rotation * Math.PI / 180);
        var (width, height) = (
            Math.Abs(box.Width * cos) + Math.Abs(box.Height * sin),
            Math.Abs(box.Width * sin) + Math.Abs(box.Height * cos)
        );
        return Box.Centred(width, height).Moved(box.X, box.Y);
    }

    /// <summary>The sentence that says what it is aligned to, with a space before it; nothing where it is not.</summary>
    private static string Alignment(Project project, UserHandStep hand)
    {
        if (hand.AlignedTo is not { } line || project.Find(line.OwnerId) is not { } element)
        {
            return "";
        }
        var what =
            element.MadeAs<LineMaking>()?.Purpose
            ?? StageTable.All.FirstOrDefault(row => row.Key == line.Stage)?.Words
            ?? "line";
        var how =
            HandTable.Of(hand.Kind).Folds ? $"It is folded over along the {what} of {element.Name} and creased there."
            : hand.AlignDistance > 0 ? $"Its edge lies {hand.AlignDistance:0.#} mm from the {what} of {element.Name}."
            : $"Its edge lies on the {what} of {element.Name}.";
        return hand.Text.EndsWith('.') ? $" {how}" : $". {how}";
    }
}
