using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;
using Ullet.Server.Work;

namespace Ullet.Server.Pictures;

/// <summary>Makes the shelf's pictures beside everything else: those that are missing once the first answer is given, and each
/// project's anew when it was saved.</summary>
internal sealed class PictureMaker(
    ShelfPictures pictures,
    StatePictures states,
    FirstAnswer first,
    IServiceScopeFactory scopes,
    ServerOptions options,
    TimeProvider clock,
    ILogger<PictureMaker> log
) : BackgroundService
{
    /// <summary>Edits that follow one another so fast have one picture.</summary>
    private static readonly TimeSpan Calm = TimeSpan.FromSeconds(2);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await first.Given.WaitAsync(stoppingToken);
        var rows = ShelfRows.Shelved(options.DataFolder);
        var known = rows.Select(row => row.Id).ToHashSet(StringComparer.Ordinal);
        pictures.KeepOnly(known);
        states.KeepOnly(known);
        foreach (var row in rows.Where(row => !pictures.Has(row.Id, row.HeadId)))
        {
            pictures.Want(row.Id);
        }
        while (true)
        {
            var id = await pictures.Next(stoppingToken);
            await Make(id, stoppingToken);
            await Task.Delay(Calm, clock, stoppingToken);
        }
    }

    /// <summary>A picture that can't be made is made when somebody asks for it, who then is told why.</summary>
    private async Task Make(string projectId, CancellationToken cancellation)
    {
        try
        {
            using var scope = scopes.CreateScope();
            var given = scope.ServiceProvider;
            var history = given.GetRequiredService<DocumentHistory>();
            if (await history.Load(projectId, cancellation) is not { } head || pictures.Has(projectId, head.Revision))
            {
                return;
            }
            var assets = await given.GetRequiredService<AssetStore>().Of(head.Project, cancellation);
            var heads = given.GetRequiredService<EvaluatedHeads>();
            var png = new Budget("This picture", WorkKind.Showing.Steps, null, cancellation).Run(() =>
                Png(heads.Of(head, cancellation), AssetStore.PicturesOf(assets))
            );
            // A server that stops leaves its folder alone.
            cancellation.ThrowIfCancellationRequested();
            pictures.Keep(projectId, head.Revision, png);
        }
        catch (Exception wrong)
            when (wrong is TooMuchException or DamagedProjectException or IOException or UnauthorizedAccessException
                || SqliteFaults.Of(wrong) != StoreFault.None
            )
        {
            log.LogWarning("The picture of project {Id} was not made: {Why}", projectId, wrong.Message);
        }
    }

    private static byte[] Png(Evaluated evaluated, IReadOnlyDictionary<string, byte[]> photos) =>
        ProjectPicture.Png(evaluated, ShelfPictures.Size, PictureFrame.Field, photos);
}

/// <summary>Told once the first answer was given: what is not needed for it waits until then.</summary>
public sealed class FirstAnswer
{
    private readonly TaskCompletionSource _given = new(TaskCreationOptions.RunContinuationsAsynchronously);

    internal Task Given => _given.Task;

    internal void Tell() => _given.TrySetResult();
}
