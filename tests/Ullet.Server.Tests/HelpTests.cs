using System.Text.RegularExpressions;
using Ullet.Core.Applique;
using Ullet.Core.Findings;
using Ullet.Core.Makings;
using Ullet.Core.Projects;
using Ullet.Files.Stash;
using Ullet.Server.Help;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed partial class HelpTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task TheHelp_HasEveryMethod_Cover_Making_HandStep_AndCheckOfTheCatalogue_AndNoOther()
    {
        var catalogue = await server.Get("/api/catalogue");
        Assert.Equal(
            Ids("methods", "id", "method-").Concat(Ids("covers", "id", "cover-")).Order(StringComparer.Ordinal),
            Anchors("methods")
                .Where(anchor => anchor.Contains('-', StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
        );
        Assert.Equal(Ids("makings", "id", "making-").Order(), Anchors("makings").Order());
        Assert.Equal(Ids("handKinds", "id", "hand-").Order(), Anchors("hands").Order());
        Assert.Equal(Ids("findings", "code", "").Order(), Anchors("checks").Order());
        Assert.All(FindingTable.All, row => Assert.Equal(row.Name, Section("checks", row.Code).Title));

        IEnumerable<string> Ids(string list, string id, string prefix) =>
            catalogue[list]!.AsArray().Select(row => prefix + (string)(row![id] ?? row["kind"])!);
    }

    [Fact]
    public async Task TheHelp_HasEveryVerb_AndEveryKey_OfTheCatalogue()
    {
        var catalogue = await server.Get("/api/catalogue");
        var verbs = Section("verbs", "verbs").Html;
        Assert.NotEmpty(catalogue["verbs"]!.AsArray());
        Assert.All(
            catalogue["verbs"]!.AsArray(),
            row =>
            {
                Assert.Contains(Coded((string)row!["name"]!), verbs, StringComparison.Ordinal);
                Assert.Contains(Coded((string)row["about"]!), verbs, StringComparison.Ordinal);
            }
        );
        var keys = Section("verbs", "keys").Html;
        Assert.All(
            catalogue["keys"]!.AsArray(),
            row => Assert.Contains(Coded((string)row!["keys"]!), keys, StringComparison.Ordinal)
        );
        Assert.Equal(Enum.GetValues<VerbId>(), VerbTable.All.Select(row => row.Id).Order());
        Assert.Equal(VerbTable.All.Length, VerbTable.All.Select(row => row.Name).Distinct().Count());
    }

    [Fact]
    public void EveryMethod_IsShownStepByStep_AsItsProjectIsSewn()
    {
        foreach (var method in AppliqueMethods.All)
        {
            var html = Section(
                "methods",
                $"method-{char.ToLowerInvariant($"{method.Id}"[0])}{$"{method.Id}"[1..]}"
            ).Html;
            var steps = HelpExamples.OfMethod(method.Id);
            Assert.Equal(steps.Length, Drawing().Count(html));
            Assert.All(method.Stages, stage => Assert.NotNull(HelpExamples.Drawing(method.Id, stage)));
            Assert.Contains(steps, step => step.IsByHand);
        }
    }

    [Fact]
    public void EveryHandStep_WithADrawing_ShowsThatVeryStep()
    {
        var shown = HandTable
            .All.Where(row => row.Kind is not (HandKind.HoopUp or HandKind.Finish))
            .Select(row => (row.Kind, Step: HelpExamples.OfHand(row.Kind)))
            .Where(each => each.Step is not null)
            .ToList();
        Assert.InRange(shown.Count, 11, 14);
        Assert.All(shown, each => Assert.Equal(each.Kind, each.Step!.Hand));
        Assert.All(MakingModules.All, making => Assert.NotEmpty(making.Summary));
    }

    [Fact]
    public async Task EveryExampleInTheText_WasRun()
    {
        var run = 0;
        foreach (var page in HelpPages.All)
        {
            foreach (Match block in Example().Matches(HelpPages.Source(page.Id)))
            {
                var text = block.Groups["text"].Value.Trim();
                switch (block.Groups["kind"].Value)
                {
                    case "csv threads":
                        var table = ThreadTable.Read(text).Value;
                        var read = ThreadTable.Threads(table, ThreadTable.Matched(table)).Value;
                        Assert.Empty(read.Troubles);
                        Assert.Equal(table.Rows.Length, read.Threads.Length);
                        run++;
                        break;
                    case "length":
                        foreach (var length in text.Split('\n'))
                        {
                            var (status, _) = await server.Post(
                                "/api/lengths",
                                new { text = length, unit = "millimetre" }
                            );
                            Assert.True(status == 200, length);
                            run++;
                        }
                        break;
                    default:
                        Assert.Fail($"Nobody runs the example \"{block.Groups["kind"].Value}\" of {page.Id}.");
                        break;
                }
            }
        }
        Assert.True(run >= 5);
    }

    [Fact]
    public void EveryLink_LeadsToAPageOfTheHelp()
    {
        var links = HelpPages
            .All.SelectMany(page => page.Sections)
            .SelectMany(section => Link().Matches(section.Html))
            .Select(match => match.Groups["to"].Value.Split('#'))
            .ToList();
        Assert.NotEmpty(links);
        Assert.All(
            links,
            link =>
            {
                var page = HelpPages.Find(link[0]);
                Assert.NotNull(page);
                Assert.True(link.Length == 1 || page.Sections.Any(section => section.Anchor == link[1]));
            }
        );
    }

    [Theory]
    [InlineData("put it right", "order", "put-it-right")]
    [InlineData("PEEPS out edge", "checks", "edge-peeps-out")]
    [InlineData("converter", "machine", "to-machine")]
    public async Task Search_FindsTheSection_HeadingsFirst(string text, string page, string anchor)
    {
        var first = (await server.Get($"/api/help/search?text={Uri.EscapeDataString(text)}"))[0]!;
        Assert.Equal((page, anchor), ((string)first["page"]!, (string)first["anchor"]!));
        Assert.NotEmpty((string)first["excerpt"]!);
    }

    [Fact]
    public async Task WhatTheHelpHasNot_IsNotThere()
    {
        Assert.Empty((await server.Get("/api/help/search?text=%20")).AsArray());
        foreach (
            var path in new[]
            {
                "pages/knitting",
                "covers/wool.png",
                "stages/laidFirst/placement.svg",
                "stages/x/y.svg",
            }
        )
        {
            using var answer = await server.Client.GetAsync($"/api/help/{path}");
            Assert.Equal(404, (int)answer.StatusCode);
        }
        var svg = await server.Client.GetStringAsync("/api/help/stages/trimInTheHoop/placement.svg");
        Assert.StartsWith("<svg", svg, StringComparison.Ordinal);
        Assert.Equal((byte)'P', (await server.Client.GetByteArrayAsync("/api/help/covers/blanket.png"))[1]);
    }

    [Fact]
    public async Task AStage_IsExplainedOnce()
    {
        Assert.Empty((await server.Get("/api/met"))["stages"]!.AsArray());
        var (status, met) = await server.Post("/api/met", new { stages = new[] { "placement", "placement", "cover" } });
        Assert.Equal(200, status);
        Assert.Equal(["placement", "cover"], met["stages"]!.AsArray().Select(stage => (string)stage!));
        Assert.Equal(2, (await server.Get("/api/met"))["stages"]!.AsArray().Count);
    }

    private static HelpSection Section(string page, string anchor) =>
        HelpPages.Find(page)!.Sections.Single(section => section.Anchor == anchor);

    private static IEnumerable<string> Anchors(string page) =>
        HelpPages.Find(page)!.Sections.Select(section => section.Anchor).Where(anchor => anchor != "top");

    private static string Coded(string text) => System.Net.WebUtility.HtmlEncode(text);

    [GeneratedRegex("<li data-hands=\"(true|false)\"><svg", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Drawing();

    [GeneratedRegex(
        "^```(?<kind>[^\n]+)\n(?<text>.*?)^```",
        RegexOptions.Multiline | RegexOptions.Singleline | RegexOptions.ExplicitCapture,
        1000
    )]
    private static partial Regex Example();

    [GeneratedRegex("<a href=\"(?<to>[^\"]+)\"", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Link();
}
