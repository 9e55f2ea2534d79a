using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Brings the parts of a pattern into a document.</summary>
/// <remarks>Every part is compared three ways: as the pattern made it before, as it stands, as the pattern makes it now. What differs
/// from before was set by hand and stays.</remarks>
internal sealed class PatternParts(
    Project project,
    PatternUse use,
    PatternPlan plan,
    IPattern pattern,
    EditContext context,
    string? fontId,
    AdditionsFate fate
)
{
    private readonly PatternPlan? _before = PatternShelf.PlanOf(project);

    /// <summary>The document with the pattern in it.</summary>
    internal Result<Project> Made()
    {
        var parts = plan.Elements.Select(Kept).ToList();
        var texts = use.FillIns.ToDictionary(text => text.Id, text => text.Text, StringComparer.Ordinal);
        var fillIns = new List<Element>();
        var cloths = plan
            .Cloths.Select(need => need.Cloth)
            .DistinctBy(cloth => cloth.Id)
            .Where(cloth => project.FindCloth(cloth.Id) is null);
        var withCloths = project with { Cloths = project.Cloths.AddRange(cloths) };
        foreach (var place in plan.Places)
        {
            var made = FillIn(place, texts, withCloths);
            if (!made.IsOk)
            {
                return made.Refusal!;
            }
            fillIns.AddRange(made.Value);
        }
        parts = [.. parts.Select(part => KeptOut(part, fillIns))];
        var own = project.Elements.Where(element => element.PatternPart is null).Select(Shifted);
        var known = parts.Concat(fillIns).Select(part => part.Id).ToHashSet(StringComparer.Ordinal);
        var gone = project
            .Elements.Where(element => element.PatternPart is not null && !known.Contains(element.Id))
            .Select(element => element.Id)
            .ToHashSet(StringComparer.Ordinal);
        return withCloths with
        {
            Pattern = use with { FillIns = [.. use.FillIns.Select(text => text with { Text = texts[text.Id] })] },
            Hooping = Hooping(),
            Elements = [.. parts, .. fillIns, .. own],
            RunSheet = project.RunSheet with
            {
                Order = plan.Order is { } order && _before?.Order != plan.Order ? order : project.RunSheet.Order,
                Steps = project.RunSheet.Steps.RemoveAll(step => gone.Contains(step.Key.OwnerId)),
            },
        };
    }

    /// <summary>A line that keeps clear of the fill-ins: they are carved out of it, and go on to be when they are moved.</summary>
    private Element KeptOut(Element part, List<Element> fillIns)
    {
        if (plan.KeepsOut.FirstOrDefault(known => known.ElementId == part.Id) is not { } keep || fillIns.Count == 0)
        {
            return part;
        }
        var clear = new Carve
        {
            Id = $"{part.Id}-clear",
            SourceIds = [.. fillIns.Select(shown => shown.Id)],
            Reveal = keep.By,
        };
        return part with { Operations = [.. part.Operations.Where(known => known.Id != clear.Id), clear] };
    }

    /// <summary>The smallest hoop that takes it: at the beginning, and where the one in use is too small.</summary>
    private Hooping Hooping()
    {
        var hooping = project.Hooping;
        var takes = _before is not null && PatternShelf.Takes(hooping.Hoop, plan);
        return hooping with
        {
            Hoop = takes ? hooping.Hoop : PatternShelf.SmallestHoop(plan) ?? Hoop.Catalogue[^1],
            GroundClothId = _before is null ? null : hooping.GroundClothId,
            StabiliserClothId = _before is null ? Hooped() : hooping.StabiliserClothId,
        };
    }

    private string Hooped() => plan.Cloths.First(need => need.Cloth.IsStabiliser()).Cloth.Id;

    /// <summary>A part as the pattern makes it now, with what was set by hand.</summary>
    private Element Kept(Element made)
    {
        var (before, now) = (_before?.Elements.FirstOrDefault(part => part.Id == made.Id), project.Find(made.Id));
        if (before is null || now is null)
        {
            return made;
        }
        var kept = made with { Name = now.Name == before.Name ? made.Name : now.Name };
        if (
            made.MadeAs<LineMaking>() is { } line
            && before.MadeAs<LineMaking>() is { } lineWas
            && now.MadeAs<LineMaking>() is { } lineIs
        )
        {
            return kept with
            {
                Making = line with
                {
                    Stitching = lineIs.Stitching == lineWas.Stitching ? line.Stitching : lineIs.Stitching,
                },
            };
        }
        if (
            made.MadeAs<ClothMaking>() is { } cloth
            && before.MadeAs<ClothMaking>() is { } was
            && now.MadeAs<ClothMaking>() is { } stands
        )
        {
            return kept with
            {
                Making = cloth with
                {
                    ClothId = stands.ClothId == was.ClothId ? cloth.ClothId : stands.ClothId,
                    Stages = stands.Stages == was.Stages ? cloth.Stages : stands.Stages,
                    Holding = stands.Holding,
                },
            };
        }
        return made;
    }

    /// <summary>An element of the user's own goes with the panel that it lies on, as was chosen.</summary>
    private Element Shifted(Element own)
    {
        var middle = new Point(own.Box.X, own.Box.Y);
        var was = _before?.Panels.LastOrDefault(panel => BoxOf(panel).Contains(middle));
        var now = plan.Panels.FirstOrDefault(panel => panel.LayerId == was?.LayerId);
        if (was is null || now is null)
        {
            return own;
        }
        return own with { Box = AdditionMoves.Of(own.Box, BoxOf(was), BoxOf(now), fate) };
    }

    private static Box BoxOf(PatternPanel panel) =>
        panel.Area.Aggregate(Box.Empty, (box, region) => box.Union(region.Bounds()));

    /// <summary>The element that shows a fill-in; none where it is empty.</summary>
    private Result<ImmutableArray<Element>> FillIn(FillInPlace place, Dictionary<string, string> texts, Project within)
    {
        var fill = pattern.FillIns.First(known => known.Id == place.FillInId);
        var stands = project.Find(place.ElementId);
        if (stands is { PatternPart: null })
        {
            // It was turned into nodes: from then on it is the user's own.
            return ImmutableArray<Element>.Empty;
        }
        if (!fill.Choices.IsEmpty)
        {
            var motif = Motifs.Piece(texts[fill.Id], place, 0);
            if (motif is not null)
            {
                var cloth = motif.MadeAs<ClothMaking>()!;
                var preset = Applique.ClothPreset.Of(within.FindCloth(cloth.ClothId));
                motif = Motifs.Piece(
                    texts[fill.Id],
                    place,
                    Applique.CoverChoice.Of(cloth.Stages.Cover, preset).Outside
                );
            }
            ImmutableArray<Element> made = motif is null
                ? []
                : [stands is { Form: not TextForm } old ? Redone(motif, old, place) : motif];
            return made;
        }
        // What was retyped on the wall stays, in each place its own; the first is what the fill-in says.
        var words = stands?.FormedAs<TextForm>();
        var text = texts[fill.Id];
        if (words is not null && project.Pattern?.TextOf(fill.Id) == use.TextOf(fill.Id))
        {
            text = words.Text;
            texts[fill.Id] = place == plan.Places.First(known => known.FillInId == fill.Id) ? text : texts[fill.Id];
        }
        if (string.IsNullOrWhiteSpace(text) || words?.FontId is null && fontId is null)
        {
            return ImmutableArray<Element>.Empty;
        }
        return Written(text, place, words is null ? null : stands)
            .Then(made => (Result<ImmutableArray<Element>>)ImmutableArray.Create(made));
    }

    /// <summary>A motif that is there already: the same one keeps all that was done to it, another keeps its place and settings.</summary>
    private Element Redone(Element motif, Element old, FillInPlace place)
    {
        var was = _before?.Places.FirstOrDefault(known => known.ElementId == place.ElementId);
        var isMoved = was is not null && new Point(old.Box.X, old.Box.Y).DistanceTo(was.Room.Centre) > 0.01;
        var box = isMoved ? Shifted(old).Box : motif.Box;
        if (project.Pattern?.TextOf(place.FillInId) == use.TextOf(place.FillInId))
        {
            return old with { Box = box };
        }
        var (own, before) = (motif.MadeAs<ClothMaking>()!, old.SettingsOf<ClothMaking>());
        return motif with
        {
            Box = box,
            Making = before is null
                ? own
                : own with
                {
                    Method = before.Method,
                    Holding = before.Holding,
                    Stages = before.Stages,
                },
        };
    }

    private Result<Element> Written(string text, FillInPlace place, Element? stands)
    {
        var form = stands?.FormedAs<TextForm>();
        form = form is null
            ? new TextForm { Text = text, FontId = fontId! }
            : form with
            {
                Text = text,
                Touches = Retyping.Carry(form.Touches, form.Text, text),
            };
        var words = stands is null
            ? new Element
            {
                Id = place.ElementId,
                PatternPart = place.ElementId[2..],
                Name = SetText.NameFrom(text),
                Form = form,
                Making = new LineMaking
                {
                    Stitching = new LineSettings { Kind = LineKind.Bean, ThreadId = place.ThreadId },
                },
                Kept = [new ClothMaking { ClothId = place.ClothId }],
                Box = new ElementBox(place.Room.Centre.X, place.Room.Centre.Y, 1, 1, 0),
            }
            : stands with
            {
                Form = form,
                Name =
                    stands.Name == SetText.NameFrom(stands.FormedAs<TextForm>()!.Text)
                        ? SetText.NameFrom(text)
                        : stands.Name,
            };
        if (WordsLimits.Check(form, context.Evaluator.Fonts) is { } refusal)
        {
            return refusal;
        }
        var was = _before?.Places.FirstOrDefault(known => known.ElementId == place.ElementId);
        if (stands is not null && was is not null && Fitted(stands, was) is { } usual && !IsAt(stands.Box, usual))
        {
            // It was moved or sized by hand: it goes with its panel, and retyped letters keep their height.
            var refitted = new SetText { ElementId = stands.Id, Text = text }.Apply(project, context);
            return refitted.Then(done => (Result<Element>)(words with { Box = Shifted(done.Find(stands.Id)!).Box }));
        }
        return Fitted(words, place) is { } box
            ? words with
            {
                Box = box,
            }
            : new Refusal("text-empty", place.FillInId, "These words have nothing to see in them; type some letters.");
    }

    /// <summary>The largest box in which words keep their form within a place; null where there is nothing to see.</summary>
    private ElementBox? Fitted(Element words, FillInPlace place)
    {
        var ink = context.Evaluator.Lay(words.FormedAs<TextForm>()!).Ink;
        if (ink.IsEmpty)
        {
            return null;
        }
        var scale = Math.Min(place.Room.Width / ink.Width, place.Room.Height / ink.Height);
        return words.Box with
        {
            X = place.Room.Centre.X,
            Y = place.Room.Centre.Y,
            Width = ink.Width * scale,
            Height = ink.Height * scale,
        };
    }

    private static bool IsAt(ElementBox box, ElementBox other) =>
        Math.Abs(box.X - other.X)
            + Math.Abs(box.Y - other.Y)
            + Math.Abs(box.Width - other.Width)
            + Math.Abs(box.Height - other.Height)
            + Math.Abs(box.Rotation)
        < 0.05;
}
