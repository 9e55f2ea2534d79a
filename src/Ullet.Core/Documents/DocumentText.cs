using System.Collections.Immutable;
using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Applies the rule for typed text (<see cref="PlainText"/>) to everything in a document that was typed.</summary>
public static class DocumentText
{
    /// <summary>The document with clean titles, names, notes and texts; itself when all are.</summary>
    public static Project Cleaned(Project project) =>
        project with
        {
            Title = PlainText.Line(project.Title),
            Cloths = Each(project.Cloths, cloth => Renamed(cloth, cloth.Name, name => cloth with { Name = name })),
            Threads = Each(
                project.Threads,
                thread =>
                    Renamed(
                        thread,
                        thread.Name,
                        name =>
                            thread with
                            {
                                Name = name,
                                Number = LineOrNone(thread.Number),
                                Maker = LineOrNone(thread.Maker),
                            }
                    )
            ),
            Colourways = Each(project.Colourways, own => Renamed(own, own.Name, name => own with { Name = name })),
            FillIns = Each(project.FillIns, Cleaned),
            Hoopings = Each(project.Hoopings, Cleaned),
            Elements = Each(project.Elements, Cleaned),
            Pattern = project.Pattern is { } use
                ? use with
                {
                    FillIns = Each(use.FillIns, fill => fill with { Text = PlainText.Line(fill.Text) }),
                }
                : null,
            Cut = project.Cut with
            {
                Cloths = Each(
                    project.Cut.Cloths,
                    cloth =>
                        cloth.Profile is { } profile
                            ? cloth with
                            {
                                Profile = profile with { Name = PlainText.Line(profile.Name) },
                            }
                            : cloth
                ),
            },
        };

    private static FillIn Cleaned(FillIn fillIn) =>
        fillIn with
        {
            Label = PlainText.Line(fillIn.Label),
            Group = LineOrNone(fillIn.Group),
            Example = LineOrNone(fillIn.Example),
        };

    private static Hooping Cleaned(Hooping hooping) =>
        hooping with
        {
            Name = PlainText.Line(hooping.Name),
            Hoop = hooping.Hoop with { Name = PlainText.Line(hooping.Hoop.Name) },
            RunSheet = hooping.RunSheet with
            {
                Steps = Each(hooping.RunSheet.Steps, step => step with { Note = LineOrNone(step.Note) }),
                Hands = Each(
                    hooping.RunSheet.Hands,
                    hand =>
                        hand with
                        {
                            Text = PlainText.Line(hand.Text),
                            Warning = LineOrNone(hand.Warning),
                            Check = LineOrNone(hand.Check),
                        }
                ),
            },
        };

    private static Element Cleaned(Element element)
    {
        var named = Renamed(element, element.Name, name => element with { Name = name });
        var form = FormModules.Of(named.Form).Cleaned(named.Form);
        var isClean =
            ReferenceEquals(form, named.Form)
            && named.Makings().All(making => ReferenceEquals(Cleaned(making), making));
        return isClean ? named : named.Remade(Cleaned) with { Form = form };
    }

    private static Making Cleaned(Making making) => MakingModules.Of(making).Cleaned(making);

    private static string? LineOrNone(string? text) =>
        text is null ? null
        : PlainText.Line(text) is { Length: > 0 } clean ? clean
        : null;

    private static T Renamed<T>(T whole, string text, Func<string, T> with) =>
        Renamed(whole, PlainText.Line(text), text, with);

    private static T Renamed<T>(T whole, string clean, string text, Func<string, T> with) =>
        ReferenceEquals(clean, text) || clean == text ? whole : with(clean);

    /// <summary>The list with each item put through; itself when nothing changed.</summary>
    private static ImmutableArray<T> Each<T>(ImmutableArray<T> items, Func<T, T> clean)
        where T : class
    {
        var changed = items;
        for (var i = 0; i < items.Length; i++)
        {
            var now = clean(items[i]);
            if (!now.Equals(items[i]))
            {
                changed = changed.SetItem(i, now);
            }
        }
        return changed;
    }
}
