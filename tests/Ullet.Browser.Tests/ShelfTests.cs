using System.Text;
using Microsoft.Data.Sqlite;

namespace Ullet.Browser.Tests;

/// <summary>The shelf when something is wrong, and what takes long.</summary>
public sealed class ShelfTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void DamagedProject_IsOneCard_GoesBackToItsLastReadableState_AndGoesOn() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Bean rows");
            AddShape(visitor, "Heart");
            AddShape(visitor, "Star");
            Damage("Bean rows");
            visitor.GoTo("/");
            visitor.WaitForText("This project can't be opened");
            foreach (var other in new[] { "Plot 14 harvest patch", "Seed-packet pouch", "Tea-break mug rug" })
            {
                Assert.True(visitor.Sees("link", other), other);
            }
            AssertAccessible(visitor, "shelf with a damaged project");
            visitor.Click("button", "Go back to it");
            visitor.WaitForText("Bean rows is back in its last readable state.");
            visitor.WaitForNoText("can't be opened");
            visitor.Click("link", "Bean rows");
            visitor.WaitForText("Run strip");
            visitor.WaitUntilIdle();
            Assert.True(visitor.Sees("button", "Heart"));
            Assert.False(visitor.Sees("button", "Star"));
            AddShape(visitor, "Leaf");
            Assert.True(visitor.Sees("button", "Leaf"));
        });

    [Fact]
    public void ProjectWithNoReadableState_CanBeSavedAndDeleted() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Lost rows");
            Damage("Lost rows");
            visitor.GoTo("/");
            visitor.WaitForText("No earlier state of it can be read either");
            Assert.True(visitor.Sees("link", "Its file: Lost rows"));
            visitor.Click("button", "Delete Lost rows");
            visitor.WaitForText("Lost rows lies in the bin for 30 days.");
            visitor.WaitForNoText("No earlier state");
        });

    [Fact]
    public void Room_IsTold_AndMade() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Old beans");
            visitor.GoTo("/");
            visitor.Click("button", "Delete Old beans");
            visitor.WaitForText("free on the disk");
            visitor.Click("button", "Make room");
            visitor.WaitForText("All of Ullet’s data");
            AssertAccessible(visitor, "make room");
            visitor.CheckBox("The bin");
            visitor.Click("button", "Make room", last: true);
            visitor.WaitForNoText("All of Ullet’s data");
            Assert.DoesNotContain("could not", visitor.Text(), StringComparison.Ordinal);
        });

    [Fact]
    public void LongImport_ShowsItsPlace_AndIsCancelled() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Nested squares");
            var file = Path.Combine(Site.DataFolder, "squares.svg");
            File.WriteAllText(file, Squares());
            // Others stand in the queue before it, more than are read while the queue is looked at.
            using var others = new HttpClient { BaseAddress = Site.Address };
            using var leave = new CancellationTokenSource();
            var before = Enumerable.Range(0, 6).Select(_ => Import(others, file, leave.Token)).ToList();
            visitor.ChooseFile("Drawing file", file);
            visitor.WaitForText("Reading this drawing");
            AssertAccessible(visitor, "the queue");
            visitor.PressButton("Cancel");
            visitor.WaitForText("Reading this drawing was cancelled; nothing was changed.");
            leave.Cancel();
            Task.WaitAll([.. before], TestContext.Current.CancellationToken);
            visitor.WaitUntilIdle();
            AddShape(visitor, "Heart");
        });

    /// <summary>Asks for an import until it is answered or left.</summary>
    private static async Task Import(HttpClient client, string file, CancellationToken leave)
    {
        using var form = new MultipartFormDataContent
        {
            { new ByteArrayContent(await File.ReadAllBytesAsync(file, CancellationToken.None)), "file", "squares.svg" },
        };
        try
        {
            using var answer = await client.PostAsync("/api/import", form, leave);
        }
        catch (OperationCanceledException)
        {
            Assert.True(leave.IsCancellationRequested);
        }
    }

    /// <summary>Squares so near to one another that sorting them takes more than is allowed.</summary>
    private static string Squares()
    {
        var text = new StringBuilder(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"200mm\" height=\"200mm\" viewBox=\"0 0 200 200\">"
        );
        for (var i = 0; i < 20_000; i++)
        {
            var (from, side) = (i * 0.004, 190 - (i * 0.008));
            text.Append(
                FormattableString.Invariant($"<rect x=\"{from}\" y=\"{from}\" width=\"{side}\" height=\"{side}\"/>")
            );
        }
        return text.Append("</svg>").ToString();
    }

    /// <summary>Spoils what is stored of a project's head, as a bad disk would.</summary>
    private void Damage(string title)
    {
        using var connection = new SqliteConnection($"Data Source={Path.Combine(Site.DataFolder, "ullet.db")}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText =
            "UPDATE Revisions SET Snapshot = x'0102' WHERE Id = (SELECT HeadId FROM Projects WHERE Title = $title)";
        command.Parameters.AddWithValue("$title", title);
        Assert.Equal(1, command.ExecuteNonQuery());
    }
}
