using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.EntityFrameworkCore;
using Scalar.AspNetCore;
using Serilog;
using Serilog.Events;
using Ullet.Core.Drawings;
using Ullet.Core.Evaluation;
using Ullet.Core.Lettering;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Cards;
using Ullet.Server.Data;
using Ullet.Server.Demo;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;
using Ullet.Server.Orders;
using Ullet.Server.Pictures;
using Ullet.Server.Scenes;
using Ullet.Server.Shelf;
using Ullet.Server.Stash;
using Ullet.Server.Work;

namespace Ullet.Server.Hosting;

/// <summary>Puts the server together.</summary>
internal static class ServerSetup
{
    /// <summary>Heavy computations wait on threads of their own; so many are at hand without asking.</summary>
    private const int Threads = 48;

    private static readonly TimeSpan StopTime = TimeSpan.FromSeconds(5);

    internal static WebApplication Build(string[] args)
    {
        ThreadPool.SetMinThreads(Threads, Threads);
        var builder = WebApplication.CreateBuilder(args);
        builder.Host.UseSerilog(
            (_, log) =>
                log
                    .MinimumLevel.Warning()
                    // What keeps a start from going on is told in one sentence, see Listening.
                    .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
                    .WriteTo.Console(outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj}{NewLine}{Exception}")
        );
        var options = ServerOptions.From(builder.Configuration);
        builder.WebHost.UseUrls($"http://127.0.0.1:{options.Port}");
        // Whose host is asked for is looked at in Safety, which answers with a sentence.
        builder.Configuration["AllowedHosts"] = "*";
        AddServices(builder.Services, options);
        var app = builder.Build();
        Map(app, options);
        return app;
    }

    /// <summary>Fonts, demo data and an emptied bin, before the first request.</summary>
    internal static async Task Fill(IServiceProvider services, ServerOptions options)
    {
        List<string> titles;
        using (var connection = PlainSql.Open(options.DataFolder))
        {
            var fonts = services.GetRequiredService<FontShelf>();
            foreach (var (sha256, bytes, isListed) in StartRows.Fonts(connection))
            {
                fonts.Add(AssetNames.FontId(sha256), bytes, isListed);
            }
            BinEmptying.Run(connection, TimeProvider.System);
            titles = StartRows.Titles(connection);
        }
        if (options.Demo)
        {
            using var scope = services.CreateScope();
            await DemoShelf.Fill(scope.ServiceProvider, titles);
        }
    }

    private static void AddServices(IServiceCollection services, ServerOptions options)
    {
        services.Configure<HostOptions>(host => host.ShutdownTimeout = StopTime);
        services.AddSingleton(options);
        services.AddSingleton(TimeProvider.System);
        services.AddSingleton(_ => new StationCache());
        services.AddSingleton<FontShelf>();
        services.AddSingleton<IGlyphSource>(given => given.GetRequiredService<FontShelf>());
        services.AddSingleton<Evaluator>();
        services.AddSingleton<EvaluatedHeads>();
        services.AddSingleton<SceneBuilder>();
        services.AddSingleton<HeavyWork>();
        services.AddHttpContextAccessor();
        services.AddScoped<Workbench>();
        services.AddDbContext<UlletDb>(
            (given, db) =>
                db.UseSqlite(DatabaseStart.ConnectionString(given.GetRequiredService<ServerOptions>().DataFolder))
        );
        services.AddSingleton<PhoneDoor>();
        services.AddSingleton<OwnSketchShelf>();
        services.AddSingleton<PartShelf>();
        services.AddSingleton<KeptShelf>();
        services.AddSingleton<StashShelf>();
        services.AddScoped<StashTables>();
        services.AddSingleton<ShelfIndex>();
        services.AddScoped<ShelfChanges>();
        services.AddScoped<HandedOut>();
        services.AddSingleton<StatePictures>();
        services.AddScoped<AssetStore>();
        services.AddScoped<AssetSweep>();
        services.AddScoped<RoomKeeper>();
        services.AddScoped<IImportedDrawings, ImportedDrawings>();
        services.AddScoped<IStitchDesigns, StitchDesignShelf>();
        services.AddScoped<HeadWriter>();
        services.AddScoped<DocumentHistory>();
        services.AddScoped<ProjectRepair>();
        services.AddScoped<HeadFiles>();
        services.AddScoped<SceneAnswers>();
        services.AddScoped<CutExports>();
        services.AddSingleton<MasterStates>();
        services.AddSingleton<OrderPictures>();
        services.AddSingleton<JobSignals>();
        services.AddScoped<OrderBook>();
        services.AddScoped<RevisionReader>();
        services.AddScoped<BookReader>();
        services.AddScoped<OrderBringing>();
        services.AddScoped<OrderFiles>();
        services.AddScoped<OrderLooks>();
        services.AddScoped<OrderHolding>();
        services.AddScoped<OrderComparing>();
        services.AddScoped<OrderMaking>();
        services.AddScoped<HoopingPlans>();
        services.AddScoped<Jobs>();
        services.AddScoped<JobZip>();
        services.AddHostedService<JobRunner>();
        services.AddSingleton<ShelfPictures>();
        services.AddSingleton<FirstAnswer>();
        services.AddHostedService<PictureMaker>();
        services.AddHostedService<Housekeeping>();
        services.AddExceptionHandler<ExceptionAnswers>();
        services.AddProblemDetails();
        services.AddOpenApi(api => api.AddSchemaTransformer(RequiredDiscriminators.Transform));
        services.Configure<JsonOptions>(json => ProjectJson.Configure(json.SerializerOptions));
        services.Configure<RouteHandlerOptions>(route => route.ThrowOnBadRequest = true);
        services.Configure<FormOptions>(form => form.MultipartBodyLengthLimit = RequestBody.Largest);
        services.AddResponseCompression(compression =>
            compression.MimeTypes = ResponseCompressionDefaults.MimeTypes.Append("application/octet-stream")
        );
    }

    private static void Map(WebApplication app, ServerOptions options)
    {
        app.UseExceptionHandler();
        app.UseResponseCompression();
        Safety.Use(app);
        if (options.WebFolder is { } folder)
        {
            WebApp.UseFiles(app, folder);
        }
        app.UseRouting();
        app.Use(UnreadAddress.Answer);
        app.MapOpenApi();
        app.MapScalarApiReference("/docs");
        ReferenceEndpoints.Map(app);
        ShelfEndpoints.Map(app);
        ProjectEndpoints.Map(app);
        VariantEndpoints.Map(app);
        HistoryEndpoints.Map(app);
        StashEndpoints.Map(app);
        DamagedProjectEndpoints.Map(app);
        PatternEndpoints.Map(app);
        SketchEndpoints.Map(app);
        StitchEndpoints.Map(app);
        CompareEndpoints.Map(app);
        PartEndpoints.Map(app);
        HoopEndpoints.Map(app);
        PictureEndpoints.Map(app);
        MomentEndpoints.Map(app);
        BookletEndpoints.Map(app);
        CardEndpoints.Map(app);
        EditEndpoints.Map(app);
        SceneEndpoints.Map(app);
        ExportEndpoints.Map(app);
        PacketEndpoints.Map(app);
        CutEndpoints.Map(app);
        ImportEndpoints.Map(app);
        FontEndpoints.Map(app);
        ClipEndpoints.Map(app);
        DeviceEndpoints.Map(app);
        RoomEndpoints.Map(app);
        HelpEndpoints.Map(app);
        MetEndpoints.Map(app);
        OrderEndpoints.Map(app);
        OrderFileEndpoints.Map(app);
        JobEndpoints.Map(app);
        WorkEndpoints.Map(app);
        NotFound.Map(app);
        if (options.WebFolder is { } web)
        {
            WebApp.MapPage(app, web);
        }
    }
}
