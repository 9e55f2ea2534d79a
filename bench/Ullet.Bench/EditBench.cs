using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Documents;
using Ullet.Server.Shapes06;

namespace Ullet.Bench;

/// <summary>An edit's answer from the real server, against the piece's computation and the document's reading and saving.</summary>
internal static class EditBench
{
    /// <summary>A star of this size has a cover of about 5,000 needle points at spacing 0.30.</summary>
    private const double Size = 140;

    private const int WarmUp = 300;

    private const int Turns = 100;

    internal static async Task<IReadOnlyList<Ratio>> Run()
    {
        using var server = new BenchServer();
        using var client = new HttpClient { BaseAddress = server.Address };
        var made = await Post(
            client,
            "/api/projects",
            new
            {
                title = "Bench",
                fieldWidth = 200,
                fieldHeight = 200,
            }
        );
        var (id, head) = ((string)made["id"]!, (long)made["head"]!);
        var star = new
        {
            edit = "addPiece",
            shape = new { form = "star" },
            box = Box(Size),
        };
        head = (long)(await Post(client, $"/api/projects/{id}/edits", new { head, edit = star }))["head"]!;
        var dense = new
        {
            edit = "setCover",
            elementId = "e1",
            cover = new { spacing = 0.3 },
        };
        head = (long)(await Post(client, $"/api/projects/{id}/edits", new { head, edit = dense }))["head"]!;
        void Widen(int i)
        {
            var wider = new
            {
                edit = "placeElement",
                elementId = "e1",
                width = Size + (i * 0.001),
            };
            var body = Post(client, $"/api/projects/{id}/edits", new { head, edit = wider }).GetAwaiter().GetResult();
            head = (long)body["head"]!;
        }
        // The server's process is young: its code is still being compiled in the first hundreds of answers.
        for (var i = 0; i < WarmUp; i++)
        {
            Widen(i);
        }
        // Without their shapes named, edits are answered as 0.6 did, and the scene is asked for by itself. In turns, so that both have
        // the same machine.
        var (answers, twos) = (new List<double>(), new List<double>());
        for (var i = 0; i < Turns; i++)
        {
            client.DefaultRequestHeaders.Add(Adapter06.Header, Adapter06.Today);
            answers.Add(Measured.Median(1, _ => Widen(WarmUp + (2 * i))));
            client.DefaultRequestHeaders.Remove(Adapter06.Header);
            twos.Add(
                Measured.Median(
                    1,
                    _ =>
                    {
                        Widen(WarmUp + (2 * i) + 1);
                        client.GetByteArrayAsync($"/api/projects/{id}/scene").GetAwaiter().GetResult();
                    }
                )
            );
        }
        var alone = Measured.Median(Turns, i => Widen(50_000 + i));
        var (answer, two) = (answers.Order().ElementAt(Turns / 2), twos.Order().ElementAt(Turns / 2));
        var project = Piece();
        var count = new Evaluator(new StationCache()).Evaluate(project).Program.StitchCount;
        var piece = Measured.Median(20, _ => new Evaluator(new StationCache()).Evaluate(project));
        var document = Measured.Median(
            40,
            i => ReadAndSave(Path.Combine(server.DataFolder, "document.db"), project, i)
        );
        var bound = piece + (1.5 * document);
        return
        [
            new Ratio($"an edit's answer of 0.6, without the scene, piece of {count:N0} stitches", alone, bound),
            new Ratio($"an edit's answer with its scene, piece of {count:N0} stitches", answer, 1.5 * bound),
            new Ratio("the same against the edit and the scene asked for one after the other", answer, two),
        ];
    }

    private static Project Piece()
    {
        var context = new EditContext(new Evaluator(new StationCache()));
        var project = BlankProject.Make("Bench", 200, 200).Value;
        project = new AddPiece { Shape = new StarShape(), Box = new ElementBox(0, 0, Size, Size, 0) }
            .Apply(project, context)
            .Value;
        return new SetCover
        {
            ElementId = "e1",
            Cover = new CoverSettings { Spacing = 0.3 },
        }
            .Apply(project, context)
            .Value;
    }

    /// <summary>The least that keeping a document takes: read its JSON, write it, one row in one transaction.</summary>
    private static void ReadAndSave(string file, Project project, int i)
    {
        using var connection = new SqliteConnection($"Data Source={file}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode=WAL; CREATE TABLE IF NOT EXISTS d (id INTEGER PRIMARY KEY, j BLOB)";
        command.ExecuteNonQuery();
        var json = ProjectJson.Write(ProjectJson.Read(ProjectJson.Write(project)).Value);
        using var transaction = connection.BeginTransaction();
        command.Transaction = transaction;
        command.CommandText = "INSERT OR REPLACE INTO d VALUES ($i, $j)";
        command.Parameters.AddWithValue("$i", i);
        command.Parameters.AddWithValue("$j", json);
        command.ExecuteNonQuery();
        transaction.Commit();
    }

    private static object Box(double size) =>
        new
        {
            x = 0,
            y = 0,
            width = size,
            height = size,
            rotation = 0,
        };

    private static async Task<JsonNode> Post(HttpClient client, string path, object body)
    {
        using var answer = await client.PostAsJsonAsync(path, body);
        answer.EnsureSuccessStatusCode();
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }
}
