using System.IO.Compression;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

/// <summary>The order book of a pouch, from what changes to the same files again.</summary>
public sealed class OrderTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    private static readonly string[] Names =
    [
        "Ama",
        "Jo",
        "Bartholomew-Fitzgerald Junior",
        "Mira",
        "Wren",
        "Plum ☂",
        "Ines",
        "Beck",
        "Tove",
        "Lark",
        "Nell",
        "Fern",
    ];

    [Fact]
    public void TwelveOrders_ArePasted_Mended_Proofed_Made_AndMadeAgain() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            visitor.Click("button", "From a pattern");
            visitor.Click("button", "Zip pouch");
            visitor.Fill("Name on the front", "Rowan");
            visitor.Click("button", "Make the zip pouch");
            visitor.WaitForText("Pattern: zip pouch");
            visitor.Click("link", "Order book");
            visitor.WaitForText("Every order fills in Name on the front, Motif beside it.");

            visitor.Click("button", "What changes");
            visitor.Choose("What", "A cloth");
            visitor.Choose("Which of the project", "seed-packet cotton");
            visitor.CheckBox("potting-bench canvas");
            visitor.Fill("Called in the book", "Front");
            visitor.Click("button", "Let it change");
            visitor.WaitForText("Cloth: seed-packet cotton, potting-bench canvas");
            AssertAccessible(visitor, "what changes");
            visitor.Click("button", "Done");

            visitor.Click("button", "Paste orders");
            visitor.Fill(
                "Rows from a spreadsheet; a first row of names is understood",
                "Name,Motif,Front\n"
                    + string.Concat(
                        Names.Select(
                            (name, i) =>
                                $"{name},{(i % 2 == 0 ? "Leaf" : "Heart")},{(i == 6 ? "potting-bench canvas" : "")}\n"
                        )
                    )
            );
            visitor.WaitForText("… and 4 more");
            AssertAccessible(visitor, "a table");
            visitor.Click("button", "Bring in 12 orders");
            visitor.WaitForText("2 orders can’t be made yet");
            Assert.Equal(["3", "6"], Rows(visitor).Take(2));
            AssertAccessible(visitor, "order book");

            Mend(visitor, 3, "Bart");
            Mend(visitor, 6, "Plum");
            visitor.WaitForText("All can be made");
            visitor.ClickCell("Name on the front", 6);
            visitor.Press(Keys.Control, "z");
            visitor.WaitForText("1 order can’t be made yet");
            visitor.Press(Keys.Control, "y");
            visitor.WaitForText("All can be made");

            visitor.Click("button", "Proofs");
            visitor.Choose("On a page", "Twelve orders");
            AssertAccessible(visitor, "proofs");
            Assert.True(visitor.Download("button", "Save the proofs", ".pdf").Length > 10_000);
            visitor.WaitForText("proofed");

            visitor.Click("button", "Make all packets");
            Follow(visitor, made => made >= 3);
            visitor.Click("button", "Stop");
            visitor.WaitForText("the job was stopped");
            visitor.Run(
                "[...document.querySelectorAll('button')].find(b => b.textContent.startsWith('Go on with')).click()"
            );
            Follow(visitor, _ => false);
            visitor.WaitForText("12 of 12 made; the job is done");
            AssertAccessible(visitor, "a job that is done");
            var zip = visitor.Download("link", "Save what was made", ".zip");
            using (var read = new ZipArchive(new MemoryStream(zip)))
            {
                var folders = read.Entries.Select(entry => entry.FullName.Split('/')[0]).Distinct().ToList();
                Assert.Equal(13, folders.Count);
                Assert.Contains(folders, folder => folder.StartsWith("7 Ines, Leaf", StringComparison.Ordinal));
            }

            visitor.ClickCell("Name on the front", 7);
            var first = visitor.Download("link", "The same again", ".zip");
            ChangeFont(visitor);
            visitor.Click("link", "Order book");
            visitor.WaitForText("As it would be now");
            Assert.Equal(12, Different(visitor));
            visitor.ClickCell("Name on the front", 7);
            visitor.Click("button", "What would today’s project change?");
            visitor.WaitForText("Letters: Titan One before");
            Assert.Equal(first, visitor.Download("link", "The same again", ".zip"));
            AssertAccessible(visitor, "an order that would differ");
        });

    private static List<string> Rows(Visitor visitor) =>
        [
            .. (
                (System.Collections.IEnumerable)
                    visitor.Run(
                        "return [...document.querySelectorAll('[data-order]')].sort((a, b) => a.ariaRowIndex - b.ariaRowIndex)"
                            + ".map(row => row.querySelector('[data-column=number]').textContent.trim())"
                    )!
            ).Cast<string>(),
        ];

    private static void Mend(Visitor visitor, int order, string name)
    {
        visitor.ClickCell("Name on the front", order);
        visitor.Press(name);
        visitor.Press(Keys.Enter);
    }

    private static int Different(Visitor visitor)
    {
        for (var seen = -1; ; )
        {
            visitor.WaitUntilIdle();
            var now = Convert.ToInt32(
                visitor.Run("return document.querySelector('main').dataset.state === 'idle' ? 1 : 0"),
                System.Globalization.CultureInfo.InvariantCulture
            );
            if (now == 1 && seen == 1)
            {
                break;
            }
            seen = now;
        }
        return Convert.ToInt32(
            visitor.Run(
                "return [...document.querySelectorAll('[data-order] [title=\"would come out differently\"]')].length"
            ),
            System.Globalization.CultureInfo.InvariantCulture
        );
    }

    /// <summary>Follows the book's newest job until it is over, or has made enough.</summary>
    private void Follow(Visitor visitor, Func<int, bool> isEnough)
    {
        var project = visitor.Path_.Split('/')[2];
        visitor.WaitForText("of 12 made");
        var jobs = Site
            .Client.GetFromJsonAsync<JsonArray>($"/api/projects/{project}/orders/jobs")
            .GetAwaiter()
            .GetResult()!;
        using var stream = Site
            .Client.GetStreamAsync($"/api/jobs/{(string)jobs[0]!["id"]!}/events")
            .GetAwaiter()
            .GetResult();
        using var lines = new StreamReader(stream);
        while (lines.ReadLine() is { } line)
        {
            if (
                line.StartsWith("data: ", StringComparison.Ordinal)
                && isEnough((int)JsonNode.Parse(line[6..])!["made"]!)
            )
            {
                return;
            }
        }
    }

    private static void ChangeFont(Visitor visitor)
    {
        visitor.Click("link", "Wall");
        visitor.WaitForText("Run strip");
        visitor.ClickInStack("Rowan");
        visitor.Click("button", "Titan One");
        visitor.Click("button", "Bree Serif");
        visitor.Click("button", "Use this font");
        visitor.WaitUntilIdle();
    }
}
