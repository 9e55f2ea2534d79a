using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Edits;
using Ullet.Core.Lettering;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Sets the letters of an order: in their room, as its rules say.</summary>
internal static class Lettered
{
    internal static Result<Filled> Fill(LetteredFillIn fillIn, string meant, FillingWork work)
    {
        if (meant.Length == 0 && fillIn.WhenEmpty == WhenEmpty.Instead)
        {
            meant = fillIn.Fit.AllCapitals ? fillIn.Instead!.ToUpperInvariant() : fillIn.Instead!;
        }
        var ids = IdsOf(fillIn, work);
        if (meant.Length == 0)
        {
            return Empty(fillIn, ids, work);
        }
        var (project, rule, rooms) = (work.Project, "", ImmutableArray<(string, FitRoom)>.Empty);
        foreach (var id in ids)
        {
            var made = Set(fillIn, meant, id, work with { Project = project });
            if (!made.IsOk)
            {
                return made.Refusal!;
            }
            project = made.Value.Project;
            rule = rule.Length == 0 ? made.Value.Rule : rule;
            rooms = rooms.AddRange(made.Value.Rooms);
        }
        return new Filled(project, rule) { Rooms = rooms };
    }

    private static IEnumerable<string> IdsOf(LetteredFillIn fillIn, FillingWork work) =>
        fillIn.PatternFillInId is { } own && Patterns.PatternShelf.PlanOf(work.Project) is { } plan
            ? plan.Places.Where(place => place.FillInId == own).Select(place => place.ElementId)
            : fillIn.ElementIds;

    /// <summary>Nothing to set: a pattern has left it out already; the project's own is taken away with its steps.</summary>
    private static Result<Filled> Empty(LetteredFillIn fillIn, IEnumerable<string> ids, FillingWork work)
    {
        ImmutableArray<string> there = [.. ids.Where(id => work.Project.Find(id) is not null)];
        if (there.IsEmpty || fillIn.PatternFillInId is not null)
        {
            return new Filled(work.Project);
        }
        return Removal
            .Of(work.Project, there, work.Context)
            .Then(left =>
                (Result<Filled>)(
                    fillIn.WhenEmpty == WhenEmpty.CloseUp
                        ? ClosingUp.After(left, fillIn, work)
                        : new Filled(left, "left out")
                )
            );
    }

    private static Result<Filled> Set(LetteredFillIn fillIn, string meant, string id, FillingWork work)
    {
        if (work.Project.Find(id) is not { } element || element.FormedAs<TextForm>() is not { } form)
        {
            return work.PatternRooms.ContainsKey(id)
                // It was turned into nodes, or its font is not known: the pattern keeps it out.
                ? new Filled(work.Project)
                : new Refusal(
                    "fill-in-gone",
                    fillIn.Label,
                    $"The words that {fillIn.Label} changes are gone from the project."
                );
        }
        var typed = form with { Text = meant, Touches = Retyping.Carry(form.Touches, form.Text, meant) };
        if (WordsLimits.Check(typed, work.Context.Evaluator.Fonts) is { } refusal)
        {
            return refusal;
        }
        var (room, rules) = RoomOf(fillIn, element, work);
        var reach = Math.Max(work.Reach.GetValueOrDefault(id), MakingModules.Of(element).Beyond(element, work.Project));
        var baseline = rules.KeepBaseline ? BaselineIn(room, element, work) : null;
        var fitted = new WordsFitter(typed, room, rules, work.Context.Evaluator.Lay).Fit(meant, reach, baseline);
        if (fitted is null)
        {
            return new Refusal(
                "text-empty",
                fillIn.Label,
                $"{fillIn.Label} has nothing to see in it; type some letters."
            );
        }
        var set = element with
        {
            Box = fitted.Box,
            Name = element.Name == SetText.NameFrom(form.Text) ? SetText.NameFrom(meant) : element.Name,
            StaysCentred = false,
            Form = typed with { Text = fitted.Text, Sizing = LetterSizing.CapHeight },
        };
        var project = work.Project.With(set);
        // Letters that are joined with another shape are sewn as far as that reaches.
        return fitted.Fits
            ? new Filled(
                project,
                Rule(fitted, meant, work.Context.Evaluator.CapHeightOf(work.Master.Find(id) ?? element))
            )
            {
                Rooms = element.Operations.Any(own => own is Join && !own.IsMuted) ? [] : [(id, room)],
            }
            : new Refusal(
                TooLong,
                fillIn.Label,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"“{meant.Replace('\n', ' ')}” does not fit: even {fitted.CapHeight:0.#} mm high and narrowed to {fitted.Narrowed * 100:0} % it is {fitted.Box.Width + (2 * reach):0.#} mm wide and {fitted.Box.Height + (2 * reach):0.#} mm high with its stitching, and its room is {room.Box.Width:0.#} × {room.Box.Height:0.#} mm{(baseline is null ? "" : ", its baseline kept")}{(room.Inside is null ? "" : " across, with an outline of its own")}. Shorten it, or allow smaller letters or more lines."
                )
            );
    }

    /// <summary>The code of the finding that words do not fit.</summary>
    internal const string TooLong = "words-too-long";

    /// <summary>Words that a pattern placed go on as they stand in the project: in the pattern's room, or where hands moved them.</summary>
    private static (FitRoom Room, WordsFit Rules) RoomOf(LetteredFillIn fillIn, Element element, FillingWork work)
    {
        var fit = fillIn.Fit;
        if (fit.InsideOf is { } id && work.Master.Find(id) is { } inside)
        {
            var outline = work.Context.Evaluator.OutlineOf(inside);
            var box = outline.Bounds();
            return (
                new FitRoom(
                    fit.Room ?? new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
                    outline.Flatten()
                ),
                fit
            );
        }
        var stands = work.Master.Find(element.Id);
        // The orders of a series look alike: none is set larger than the words of the project itself.
        if (
            fit.LargestHeight is null
            && stands is not null
            && work.Context.Evaluator.CapHeightOf(stands) is > 0 and var height
        )
        {
            fit = fit with { LargestHeight = Math.Max(height, fit.SmallestHeight) };
        }
        if (fit.Room is { } own || !work.PatternRooms.TryGetValue(element.Id, out var pattern))
        {
            return (new FitRoom(fit.Room ?? (stands ?? element).Box), fit);
        }
        var whole = new ElementBox(pattern.Centre.X, pattern.Centre.Y, pattern.Width, pattern.Height, 0);
        var small = fit with { SmallestHeight = Math.Min(fit.SmallestHeight, pattern.Height) };
        if (stands is null || IsFitted(stands.Box, whole))
        {
            return (new FitRoom(whole), small);
        }
        var (across, down) = (
            Math.Min(stands.Box.X - pattern.MinX, pattern.MaxX - stands.Box.X),
            Math.Min(stands.Box.Y - pattern.MinY, pattern.MaxY - stands.Box.Y)
        );
        var room = stands.Box with
        {
            Width = stands.Box.Rotation == 0 ? Math.Max(stands.Box.Width, 2 * across) : stands.Box.Width,
            Height = stands.Box.Rotation == 0 ? Math.Max(stands.Box.Height, 2 * down) : stands.Box.Height,
        };
        return (new FitRoom(room), small);
    }

    /// <summary>True for words that fill a pattern's room as the pattern sets them.</summary>
    private static bool IsFitted(ElementBox box, ElementBox room) =>
        box.Rotation == 0
        && Math.Abs(box.X - room.X) + Math.Abs(box.Y - room.Y) < 0.1
        && (Math.Abs(box.Width - room.Width) < 0.1 || Math.Abs(box.Height - room.Height) < 0.1);

    /// <summary>Where the baseline of the words in the project lies in the room's own frame; null where it is not known.</summary>
    private static double? BaselineIn(FitRoom room, Element element, FillingWork work) =>
        work.Context.Evaluator.BaselineOf(work.Master.Find(element.Id) ?? element) is { } at ? room.Local(at).Y : null;

    private static string Rule(FittedWords fitted, string meant, double before)
    {
        var said = new List<string>();
        if (fitted.Lines > meant.Count(c => c == '\n') + 1)
        {
            said.Add($"on {fitted.Lines} lines");
        }
        if (Math.Abs(fitted.CapHeight - before) > 0.05)
        {
            said.Add(string.Create(CultureInfo.InvariantCulture, $"{fitted.CapHeight:0.#} mm high"));
        }
        if (fitted.Narrowed < 0.985)
        {
            said.Add(string.Create(CultureInfo.InvariantCulture, $"narrowed to {fitted.Narrowed * 100:0} %"));
        }
        return string.Join(", ", said);
    }
}

/// <summary>Takes elements out of an order, locked ones too; what is made with them is let go.</summary>
internal static class Removal
{
    internal static Result<Project> Of(Project project, ImmutableArray<string> ids, EditContext context)
    {
        var open = project with
        {
            Elements =
            [
                .. project.Elements.Select(element =>
                    ids.Contains(element.Id) ? element with { IsLocked = false } : element
                ),
            ],
        };
        return new RemoveElements { ElementIds = ids, Dependents = DependentsFate.Release }.Apply(open, context);
    }
}

/// <summary>Closes the gap that words leave which are not given.</summary>
internal static class ClosingUp
{
    /// <summary>What stands below in the same group moves up by as much as the next of them was lower.</summary>
    internal static Filled After(Project left, LetteredFillIn gone, FillingWork work)
    {
        if (gone.ElementIds.Select(work.Master.Find).FirstOrDefault(element => element is not null) is not { } place)
        {
            return new Filled(left, "left out");
        }
        var others = work
            .Master.FillIns.OfType<LetteredFillIn>()
            .Where(own => own.Id != gone.Id && own.Group == gone.Group)
            .SelectMany(own => own.ElementIds)
            .ToHashSet(StringComparer.Ordinal);
        var below = work
            .Master.Elements.Where(element => others.Contains(element.Id) && element.Box.Y > place.Box.Y + 0.01)
            .ToList();
        if (below.Count == 0)
        {
            return new Filled(left, "left out");
        }
        var by = below.Min(element => element.Box.Y) - place.Box.Y;
        var moved = below.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        var closed = left with
        {
            Elements =
            [
                .. left.Elements.Select(element =>
                    moved.Contains(element.Id) ? element with { Box = element.Box.Moved(0, -by) } : element
                ),
            ],
        };
        return new Filled(closed, "left out, and what follows moves up")
        {
            MovedUp = [.. moved.Select(id => (id, by))],
        };
    }
}
