using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Bench.Doors;

/// <summary>kill -9 among edits, imports and exports: nothing that was answered is lost.</summary>
internal static class KillDoors
{
    private const string Drawing =
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"40mm\" height=\"40mm\" viewBox=\"0 0 40 40\"><circle cx=\"20\" cy=\"20\" r=\"15\"/></svg>";

    internal static async Task<Tally> Run(int kills, int seed)
    {
        var tally = new Tally($"{kills:N0} kills among edits, imports and exports");
        var random = new Random(seed);
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        var (id, title) = ("", "");
        for (var i = 0; i < kills; i++)
        {
            using var server = await DoorServer.Start(data);
            using var client = new HttpClient { BaseAddress = server.Address };
            if (id.Length > 0)
            {
                var found = await client.GetFromJsonAsync<JsonObject>($"/api/projects/{id}");
                if ((string)found!["project"]!["title"]! != title)
                {
                    tally.Fault($"Kill {i}: \"{title}\" was answered, \"{found["project"]!["title"]}\" is there");
                }
                tally.Note(200, 0, "", "");
            }
            else
            {
                using var made = await client.PostAsJsonAsync("/api/projects", new { title = "Kill plot" });
                (id, title) = ((string)(await made.Content.ReadFromJsonAsync<JsonObject>())!["id"]!, "Kill plot");
            }
            using var after = new CancellationTokenSource();
            // A young server compiles its code while it answers for the first time; the kill comes some time after that.
            var first = new TaskCompletionSource();
            void Answered(string known)
            {
                title = known;
                first.TrySetResult();
            }
            var work = Work(client, id, $"Kill plot {i}", Answered, after.Token);
            await Task.WhenAny(first.Task, work);
            await Task.Delay(random.Next(120));
            server.Kill();
            await after.CancelAsync();
            await work;
        }
        Directory.Delete(data, recursive: true);
        return tally;
    }

    /// <summary>Edits, imports and exports until the server is gone; each title that was answered is told. One that was sent when it
    /// went may be there or not.</summary>
    private static async Task Work(
        HttpClient client,
        string id,
        string stem,
        Action<string> answered,
        CancellationToken gone
    )
    {
        try
        {
            var head = (long)(await client.GetFromJsonAsync<JsonObject>($"/api/projects/{id}", gone))!["head"]!;
            for (var i = 0; ; i++)
            {
                // Two titles in turn, sent once: what is answered is what is there, whatever was in flight.
                var title = $"{stem}.{i}";
                var body = new { head, edit = new { edit = "renameProject", title } };
                using var edit = await client.PostAsJsonAsync($"/api/projects/{id}/edits", body, gone);
                head = (long)(await edit.Content.ReadFromJsonAsync<JsonObject>(gone))!["head"]!;
                answered(title);
                using var form = new MultipartFormDataContent { { new StringContent(Drawing), "file", "a.svg" } };
                using var import = await client.PostAsync("/api/import", form, gone);
                using var export = await client.GetAsync($"/api/projects/{id}/project.ullet", gone);
            }
        }
        catch (Exception wrong)
            when (wrong
                    is HttpRequestException
                        or OperationCanceledException
                        or IOException
                        or System.Text.Json.JsonException
            )
        {
            // It was killed, as it was meant to be.
        }
    }
}
