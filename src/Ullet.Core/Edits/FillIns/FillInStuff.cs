using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What marking asks of the project.</summary>
internal static class FillInStuff
{
    /// <summary>Words end this far from the cover of what they lie on, mm.</summary>
    private const double Clear = 3;

    internal static Refusal Unknown(string id) =>
        new("fill-in-unknown", "fillInId", $"The project has no fill-in \"{id}\".") { Kind = RefusalKind.NotFound };

    /// <summary>Says what of the project does not fit, or null.</summary>
    internal static Refusal? Check(FillIn fillIn, Project project) =>
        OfPattern(fillIn, project)
        ?? Missing(fillIn.Cloths, project.FindCloth, EditRefusals.NoCloth)
        ?? Missing(fillIn.Threads, project.FindThread, EditRefusals.NoThread)
        ?? (fillIn is LetteredFillIn lettered ? Lettered(lettered, project) : null);

    private static Refusal? Missing<T>(IEnumerable<string> ids, Func<string?, T?> find, Func<string, Refusal> refuse)
        where T : class => ids.FirstOrDefault(id => find(id) is null) is { } unknown ? refuse(unknown) : null;

    private static Refusal? Lettered(LetteredFillIn lettered, Project project) =>
        (
            lettered.ElementIds.IsEmpty && lettered.PatternFillInId is null
                ? new Refusal("nothing-selected", "elementIds", $"{lettered.Label} needs words on the wall to change.")
                : null
        )
        ?? (
            lettered.ElementIds.Select(project.Find).FirstOrDefault(element => element is { Form: not TextForm })
                is { } other
                ? new Refusal(
                    "fill-in-no-words",
                    "elementIds",
                    $"{other.Name} is no lettering; only words can be typed anew for every order."
                )
                {
                    Kind = RefusalKind.NotPossible,
                }
                : null
        )
        ?? (
            lettered.Fit.InsideOf is { } inside && project.Find(inside) is null ? EditRefusals.NoElement(inside) : null
        );

    private static Refusal? OfPattern(FillIn fillIn, Project project) =>
        fillIn.PatternFillInId is { } id
        && !(
            project.Pattern is { } use
            && PatternShelf.Find(use) is { } pattern
            && pattern.FillIns.Any(known => known.Id == id)
        )
            ? new Refusal("fill-in-unknown", "patternFillInId", $"The project's pattern has no fill-in \"{id}\".")
            : null;

    /// <summary>Words that were given no room get what is free about them: as far as the piece that they lie on, or the field, reaches.</summary>
    internal static FillIn WithRoom(FillIn fillIn, Project project, EditContext context)
    {
        if (
            fillIn is not LetteredFillIn { Fit: { Room: null, InsideOf: null } fit } lettered
            || lettered.ElementIds.IsEmpty
            || project.Find(lettered.ElementIds[0]) is not { } words
        )
        {
            return fillIn;
        }
        var cap = Math.Round(context.Evaluator.CapHeightOf(words), 2);
        return lettered with
        {
            Fit = fit with
            {
                Room = RoomOf(words, project, context),
                LargestHeight = fit.LargestHeight ?? (cap >= fit.SmallestHeight ? cap : null),
            },
        };
    }

    private static ElementBox RoomOf(Element words, Project project, EditContext context)
    {
        var own = Bands.BoxOf(words, context);
        var beneath = project
            .Elements.TakeWhile(element => element.Id != words.Id)
            .Where(element => element.Making is ClothMaking)
            .Select(element => (Element: element, Box: Bands.BoxOf(element, context)))
            .Where(each => each.Box.Contains(own))
            .Select(each => each.Box.Grown(-Bands.Outside(each.Element, project) - Clear))
            .OrderBy(box => box.Width)
            .FirstOrDefault(box => box.Contains(own.Centre), project.Hooping.Hoop.Usable);
        var half = Math.Min(words.Box.X - beneath.MinX, beneath.MaxX - words.Box.X);
        // Words that are turned keep what they take: what is free about them is not measured along their line.
        return words.Box.Rotation == 0 && half * 2 > words.Box.Width
            ? words.Box with
            {
                Width = half * 2,
                IsFlipped = false,
                Skew = 0,
            }
            : words.Box with
            {
                IsFlipped = false,
                Skew = 0,
            };
    }
}
