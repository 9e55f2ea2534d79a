using System.Net.Http.Json;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ullet.Browser.Tests;

/// <summary>A test with a browser; when it fails it leaves a picture in artifacts/failures.</summary>
public abstract class BrowserTest(UlletSite site)
{
    private static readonly string Axe = File.ReadAllText(
        Path.Combine(Repository.Root, "src/ullet-web/node_modules/axe-core/axe.min.js")
    );

    private protected UlletSite Site { get; } = site;

    private protected void Visit(Action<Visitor> visit, [CallerMemberName] string name = "")
    {
        var visitor = Site.Visitor();
        try
        {
            visit(visitor);
            Assert.Empty(visitor.Complaints());
        }
        catch
        {
            var folder = Directory.CreateDirectory(Path.Combine(Repository.Root, "artifacts", "failures")).FullName;
            File.WriteAllBytes(Path.Combine(folder, $"{GetType().Name}.{name}.png"), visitor.Picture());
            File.WriteAllLines(Path.Combine(folder, $"{GetType().Name}.{name}.txt"), visitor.Complaints());
            throw;
        }
    }

    /// <summary>Opens the demo's harvest patch on the wall.</summary>
    private protected static void OpenPatch(Visitor visitor)
    {
        OpenFromShelf(visitor, "Plot 14 harvest patch");
        visitor.WaitForText("Run strip");
        visitor.WaitUntilIdle();
    }

    /// <summary>Opens a project from the shelf. Other tests may have filled it: the project is searched for.</summary>
    private protected static void OpenFromShelf(Visitor visitor, string title)
    {
        visitor.GoTo("/");
        visitor.Fill("Search the shelf", title);
        visitor.Click("link", title);
    }

    /// <summary>Makes a project of its own, so that tests do not see each other's work.</summary>
    private protected static void NewProject(Visitor visitor, string title)
    {
        visitor.GoTo("/");
        visitor.Click("button", "New project");
        visitor.Type("Name", title);
        visitor.WaitForText("Run strip");
        visitor.WaitUntilIdle();
    }

    private protected static void AddShape(Visitor visitor, string name)
    {
        visitor.Click("button", "Shape");
        visitor.Click("button", name);
        visitor.WaitForValue("Name", name);
        visitor.WaitUntilIdle();
    }

    /// <summary>The project that is open, as the server tells it.</summary>
    private protected JsonNode Scene(Visitor visitor) =>
        Site
            .Client.GetFromJsonAsync<JsonNode>($"/api/projects/{visitor.Path_.Split('/')[2]}/scene")
            .GetAwaiter()
            .GetResult()!;

    private protected int StitchCount(Visitor visitor)
    {
        visitor.WaitUntilIdle();
        return (int)Scene(visitor)["stitchCount"]!;
    }

    private protected static void AssertAccessible(Visitor visitor, string room)
    {
        visitor.WaitUntilIdle();
        visitor.Run(Axe);
        var found = (string)
            visitor.RunAsync(
                "const done = arguments[arguments.length - 1];"
                    + "axe.run().then(r => done(JSON.stringify(r.violations.map(v =>"
                    + " v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' | ')))));"
            )!;
        Assert.True(JsonSerializer.Deserialize<List<string>>(found)!.Count == 0, $"{room}: {found}");
    }

    /// <summary>A file that the browser may choose.</summary>
    private protected string Sample(string name, string text)
    {
        var file = Path.Combine(Site.DataFolder, name);
        File.WriteAllText(file, text);
        return file;
    }
}
