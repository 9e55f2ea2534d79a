using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Orders;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.Tests.Orders;

/// <summary>Names of all lengths in a box and in an outline, against a plain search over sizes.</summary>
/// <remarks>Laws: (1) a name fits exactly where the plain search finds an allowed size; (2) no letter lies outside the room; (3) none
/// is narrowed or smaller than was allowed; (4) the same name comes out the same, whatever came before.</remarks>
public sealed class FittedNamesTests
{
    private const int Names = 2000;

    private const string Letters = "abcdefghiklmnoprstuvwyzàäçéêëíñóöøúüABCDEFGHIJKLMNOPRSTUVWÉÖŁ";

    private static readonly WordsFit Rules = new()
    {
        Room = new ElementBox(0, 0, 88, 22, 0),
        SmallestHeight = 5.5,
        LargestHeight = 12,
        NarrowedTo = 0.8,
        MostLines = 2,
        BreaksAt = LineBreaks.SpacesAndHyphens,
    };

    private static string Name(Random random)
    {
        var length = random.Next(1, 25);
        var name = new char[length];
        for (var i = 0; i < length; i++)
        {
            name[i] =
                i > 1 && i < length - 1 && name[i - 1] is not (' ' or '-' or '’') && random.Next(9) == 0
                    ? " -’"[random.Next(3)]
                    : Letters[random.Next(Letters.Length)];
        }
        return new string(name);
    }

    private static LaidText Lay(TextForm form) => DemoWork.Context.Evaluator.Lay(form);

    /// <summary>True where some allowed way to set a name lies in the room: the smallest and narrowest of each way does.</summary>
    private static bool PlainSearch(TextForm form, string name, double reach)
    {
        foreach (var text in PlainWays(name))
        {
            var ink = Lay(form with { Text = text }).Ink;
            var scale = Rules.SmallestHeight / LaidText.CapHeight;
            if (
                ink.Width * scale * Rules.NarrowedTo <= Rules.Room!.Width - (2 * reach) + 1e-9
                && ink.Height * scale <= Rules.Room.Height - (2 * reach) + 1e-9
            )
            {
                return true;
            }
        }
        return false;
    }

    private static IEnumerable<string> PlainWays(string name)
    {
        yield return name;
        for (var i = 1; i < name.Length - 1; i++)
        {
            if (name[i] is ' ' or '-')
            {
                yield return $"{name[..(name[i] == ' ' ? i : i + 1)].Trim()}\n{name[(i + 1)..].Trim()}";
            }
        }
    }

    [Theory]
    [InlineData("bree-serif")]
    [InlineData("lobster")]
    public void Names_Fit_WhereAPlainSearchFindsAWay_AndStayInside(string font)
    {
        var random = new Random(24);
        var form = new TextForm { Text = "x", FontId = font };
        var room = new FitRoom(Rules.Room!);
        const double Reach = 0.3;
        var wrong = new List<string>();
        for (var i = 0; i < Names / 2; i++)
        {
            var name = Name(random);
            var fitted = new WordsFitter(form, room, Rules, Lay).Fit(name, Reach, null)!;
            if (fitted.Fits != PlainSearch(form, name, Reach))
            {
                wrong.Add($"{name}: {(fitted.Fits ? "set" : "refused")} against the plain search");
            }
            if (
                fitted.Fits
                && (
                    fitted.Box.Width > Rules.Room!.Width - (2 * Reach) + 1e-6
                    || fitted.Box.Height > Rules.Room.Height - (2 * Reach) + 1e-6
                    || fitted.CapHeight < Rules.SmallestHeight - 1e-6
                    || fitted.CapHeight > Rules.LargestHeight + 1e-6
                    || fitted.Narrowed < Rules.NarrowedTo - 1e-6
                    || fitted.Lines > Rules.MostLines
                )
            )
            {
                wrong.Add($"{name}: {fitted}");
            }
        }
        Assert.Empty(wrong);
    }

    [Fact]
    public void NeedlePoints_OfNames_LieInTheirBox_AndWhatDoesNotFitSaysSo()
    {
        var master = DemoWork.All["Rowan’s gate initial"];
        var judge = new OrderJudge(DemoWork.Context, master);
        var random = new Random(7);
        var room = new FitRoom(
            master.Project.FillIns.OfType<WordsFillIn>().First(field => field.Id == "name").Fit.Room!
        );
        var (made, refused) = (0, 0);
        for (var i = 0; i < 16; i++)
        {
            var name = Name(random).Replace(' ', 'a').Replace('-', 'e');
            var judged = judge.Of(new OrderValues([new OrderValue("initial", "A"), new OrderValue("name", name)]));
            if (judged.Evaluated is not { } evaluated)
            {
                refused++;
                Assert.Contains(
                    judged.Findings,
                    finding =>
                        finding.FillInId == "name"
                        && (finding.Code is "words-too-long" or "fill-in-too-long" or "characters-missing")
                );
                continue;
            }
            made++;
            var (elementId, _) = Assert.Single(judged.Filled.Rooms);
            var farthest = evaluated
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => step.Key.OwnerId == elementId)
                .SelectMany(step => step.OwnPoints())
                .Max(room.Outside);
            Assert.True(farthest <= OrderJudge.Slack, $"{name}: {farthest} mm outside");
        }
        Assert.True(made > 5 && refused > 1, $"{made} made, {refused} refused");
    }

    [Fact]
    public void Names_InAnOutline_LieInsideIt_AndAreAsLargeAsAPlainSearchFinds()
    {
        var circle = Enumerable
            .Range(0, 90)
            .Select(i => Math.SinCos(i * Math.PI / 45))
            .Select(p => new Point(40 * p.Sin, 40 * p.Cos));
        System.Collections.Immutable.ImmutableArray<Region> inside = [new Region(Ring.Of([.. circle]), [])];
        var room = new FitRoom(new ElementBox(0, 0, 80, 80, 0), inside);
        var rules = Rules with { Room = null, MostLines = 1, LargestHeight = 40 };
        var form = new TextForm { Text = "x", FontId = "bree-serif" };
        var random = new Random(5);
        for (var i = 0; i < 60; i++)
        {
            var name = Name(random);
            var fitted = new WordsFitter(form, room, rules, Lay).Fit(name, 0.4, null)!;
            var largest = Enumerable
                .Range(0, 400)
                .Select(step => 40 - (step * (40 - rules.SmallestHeight) / 400))
                .FirstOrDefault(height => Holds(form, name, height, room, rules));
            Assert.Equal(largest > 0, fitted.Fits);
            if (fitted.Fits)
            {
                Assert.True(fitted.CapHeight >= largest - 1.5, $"{name}: {fitted.CapHeight} of {largest}");
                Assert.True(Holds(form, name, fitted.CapHeight, room, rules));
            }
        }
    }

    private static bool Holds(TextForm form, string name, double height, FitRoom room, WordsFit rules)
    {
        var laid = Lay(form with { Text = name });
        var scale = height / LaidText.CapHeight;
        return laid
            .Letters.SelectMany(letter => letter.Outline.Flatten())
            .SelectMany(region => region.Rings)
            .SelectMany(ring => ring.Points)
            .All(point =>
                room.Outside(
                    new Point(
                        (point.X - laid.Ink.Centre.X) * scale * rules.NarrowedTo,
                        (point.Y - laid.Ink.Centre.Y) * scale
                    )
                ) <= 1e-9
            );
    }

    [Fact]
    public void TheSameName_ComesOutTheSame_WhateverCameBefore()
    {
        var master = DemoWork.All["Seed-packet pouch"];
        var values = new OrderValues([new OrderValue("p-name", "Theodora"), new OrderValue("p-motif", "Heart")]);
        string Stamp(OrderJudge judge) => OrderSum.StampOf(judge.Of(values).Evaluated!);
        var fresh = Stamp(new OrderJudge(DemoWork.Context, master));
        var used = new OrderJudge(DemoWork.Context, master);
        used.Of(values.With("p-name", "Jo"));
        used.Of(values.With("p-name", "Bartholomew"));
        Assert.Equal(fresh, Stamp(used));
        Assert.Equal(fresh, OrderSum.StampOf(used.Of(values, isWhole: true).Evaluated!));
    }
}
