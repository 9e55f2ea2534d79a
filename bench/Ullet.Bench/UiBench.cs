using System.Globalization;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium.Chrome;
using Ullet.Core.Projects;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>Frames of the wall in a browser: panning and dragging over much stitching against a blank wall.</summary>
internal static class UiBench
{
    private const int Stitches = 100_000;

    /// <summary>Of a stitch file that is opened.</summary>
    private const int OpenedStitches = 200_000;

    /// <summary>Panning may take this much longer than over a blank wall.</summary>
    private const double Bound = 1.5;

    private const int Moves = 240;

    internal static async Task<bool> Run()
    {
        var web = Path.GetFullPath("src/ullet-web/dist");
        using var server = new BenchServer("--web", web);
        using var client = new HttpClient { BaseAddress = server.Address };
        using var driver = Browser();
        var blank = await Import(client, BlankProject.Make("Blank", 240, 360).Value);
        var full = await Import(client, EngineBench.Grown(Stitches));
        var hundred = await Import(client, Hundred());
        var opened = await OpenedFile(client);

        Open(driver, server.Address, blank);
        var base_ = Pan(driver);
        Open(driver, server.Address, full);
        var (render, elements, stitches) = Drawn(driver, await Scene(client, full));
        var pan = Pan(driver);
        Open(driver, server.Address, hundred);
        var drag = Drag(driver);
        Open(driver, server.Address, opened);
        var over = Pan(driver);
        Console.WriteLine(
            $"drawing the whole wall of {stitches:N0} stitches on {elements} elements takes {render:0} ms: "
                + $"{render / elements:0.00} ms for an element, {render * 1000 / stitches:0.00} µs for a stitch"
        );
        var panning = new Ratio($"a frame while panning {stitches:N0} stitches", pan.Median, Bound * base_.Median);
        var dragging = new Ratio("a frame while dragging one of 100 elements", drag.Median, Bound * base_.Median);
        var file = new Ratio(
            $"a frame while panning a file of {OpenedStitches:N0} stitches",
            over.Median,
            Bound * base_.Median
        );
        Console.WriteLine(panning);
        Console.WriteLine(dragging);
        Console.WriteLine(file);
        Console.WriteLine(
            $"longest frame: blank {base_.Worst:0} ms, panning {pan.Worst:0} ms, dragging {drag.Worst:0} ms, a file {over.Worst:0} ms"
        );
        return panning.Holds && dragging.Holds && file.Holds;
    }

    /// <summary>A hundred small pieces, each with its stages.</summary>
    private static Project Hundred()
    {
        var context = new Core.Edits.EditContext(new Core.Evaluation.Evaluator(new Core.Pipeline.StationCache()));
        var project = BlankProject.Make("Hundred", 240, 360).Value;
        for (var i = 0; i < 100; i++)
        {
            var add = new Core.Edits.AddPiece
            {
                Shape = new HeartShape(),
                Box = new ElementBox((i % 10 * 23) - 104, (i / 10 * 34) - 153, 20, 22, 0),
            };
            project = add.Apply(project, context).Value;
        }
        return project;
    }

    private static async Task<string> Import(HttpClient client, Project project)
    {
        using var file = new ByteArrayContent(ProjectFile.Export(project, []));
        file.Headers.ContentType = new MediaTypeHeaderValue("application/zip");
        using var form = new MultipartFormDataContent { { file, "file", "bench.ullet" } };
        using var preview = await client.PostAsync("/api/import", form);
        var token = (string)JsonNode.Parse(await preview.Content.ReadAsStringAsync())!["token"]!;
        using var made = await client.PostAsJsonAsync("/api/projects", new { importToken = token });
        var answer = await made.Content.ReadAsStringAsync();
        return made.IsSuccessStatusCode
            ? (string)JsonNode.Parse(answer)!["id"]!
            : throw new InvalidOperationException($"The project was not taken: {answer}");
    }

    /// <summary>A blank project with a large stitch file opened in it, sent as a person sends it.</summary>
    private static async Task<string> OpenedFile(HttpClient client)
    {
        using var file = new ByteArrayContent(Encoding.UTF8.GetBytes(LargeFile()));
        using var form = new MultipartFormDataContent { { file, "files", "large.csv" } };
        using var taken = await client.PostAsync("/api/stitches", form);
        var preview = await taken.Content.ReadAsStringAsync();
        var token =
            (string?)JsonNode.Parse(preview)?["files"]?[0]?["token"]
            ?? throw new InvalidOperationException(
                $"The file was not taken: {preview[..Math.Min(400, preview.Length)]}"
            );
        var id = await Import(client, BlankProject.Make("Opened", 240, 360).Value);
        var head = (long)(await Scene(client, id))["head"]!;
        using var edited = await client.PostAsJsonAsync(
            $"/api/projects/{id}/edits",
            new
            {
                head,
                edit = new
                {
                    edit = "openStitches",
                    token,
                    name = "large",
                },
            }
        );
        var answer = await edited.Content.ReadAsStringAsync();
        return edited.IsSuccessStatusCode
            ? id
            : throw new InvalidOperationException($"The file was not opened: {answer}");
    }

    /// <summary>Twenty blocks, each of rows across with the stitches of a satin.</summary>
    private static string LargeFile()
    {
        const int blocks = 20;
        const int across = 500;
        var text = new StringBuilder("step,block,command,x,y,thread\n");
        for (var block = 1; block <= blocks; block++)
        {
            for (var i = 0; i < OpenedStitches / blocks; i++)
            {
                var (row, column) = (((block - 1) * 20) + (i / across), i % across);
                var x = (column - (across / 2.0)) * 0.4;
                var y = (row * 0.8) - 160 + (i % 2 * 4);
                var command = i == 0 ? "jump" : "stitch";
                text.Append(CultureInfo.InvariantCulture, $"{block},{block},{command},{x:0.00},{y:0.00},{block % 4}\n");
            }
        }
        return text.ToString();
    }

    private static async Task<JsonNode> Scene(HttpClient client, string id) =>
        (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}/scene"))!;

    private static ChromeDriver Browser()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run");
        var driver = new ChromeDriver(
            ChromeDriverService.CreateDefaultService("/usr/bin/chromedriver"),
            options,
            TimeSpan.FromMinutes(3)
        );
        driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = 1280,
                ["height"] = 800,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );
        return driver;
    }

    private static void Open(ChromeDriver driver, Uri address, string id)
    {
        driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);
        driver.Navigate().GoToUrl(new Uri(address, $"/p/{id}/wall"));
        try
        {
            driver.ExecuteAsyncScript(
                """
                const done = arguments[arguments.length - 1];
                const look = () => document.querySelector('[role=application][data-state=idle]') ? done() : requestAnimationFrame(look);
                look();
                """
            );
        }
        catch (OpenQA.Selenium.WebDriverTimeoutException late)
        {
            var shown = driver.ExecuteScript("return document.body.innerText.slice(0, 400);");
            throw new InvalidOperationException(
                $"The wall is not drawn after two minutes. The page shows: {shown}",
                late
            );
        }
    }

    /// <summary>How long the wall took to be drawn whole, from the marks that it leaves.</summary>
    private static (double Render, int Elements, int Stitches) Drawn(ChromeDriver driver, JsonNode scene)
    {
        var longest = Convert.ToDouble(
            driver.ExecuteScript(
                "return Math.max(...performance.getEntriesByName('wall-drawn').map(m => m.duration));"
            ),
            CultureInfo.InvariantCulture
        );
        return (longest, scene["elements"]!.AsArray().Count, (int)scene["stitchCount"]!);
    }

    private static (double Median, double Worst) Pan(ChromeDriver driver) => Frames(driver, "middle", 640, 400, 3);

    private static (double Median, double Worst) Drag(ChromeDriver driver)
    {
        // On the first heart of the middle row.
        return Frames(driver, "left", 615, 352, 0);
    }

    /// <summary>Moves the mouse with a button down and gives the times between frames, ms.</summary>
    private static (double Median, double Worst) Frames(ChromeDriver driver, string button, int x, int y, int warmUp)
    {
        void Mouse(string type, double atX, double atY) =>
            driver.ExecuteCdpCommand(
                "Input.dispatchMouseEvent",
                new Dictionary<string, object?>
                {
                    ["type"] = type,
                    ["x"] = atX,
                    ["y"] = atY,
                    ["button"] = button,
                    ["buttons"] = button == "left" ? 1 : 4,
                    ["clickCount"] = 1,
                }
            );
        Mouse("mousePressed", x, y);
        for (var i = 0; i < warmUp; i++)
        {
            Mouse("mouseMoved", x + i, y);
        }
        driver.ExecuteScript(
            """
            window.frames_ = []; let last = performance.now(); window.counting = true;
            const count = (now) => { window.frames_.push(now - last); last = now; if (window.counting) requestAnimationFrame(count); };
            requestAnimationFrame(count);
            """
        );
        for (var i = 0; i < Moves; i++)
        {
            Mouse("mouseMoved", x + (60 * Math.Sin(i / 12.0)), y + (60 * Math.Cos(i / 15.0)));
        }
        var frames = (
            (IEnumerable<object>)driver.ExecuteScript("window.counting = false; return window.frames_.slice(1);")!
        )
            .Select(frame => Convert.ToDouble(frame, CultureInfo.InvariantCulture))
            .Order()
            .ToList();
        Mouse("mouseReleased", x, y);
        return (frames[frames.Count / 2], frames[^1]);
    }
}
