using System.Reflection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.EntityFrameworkCore;
using Scalar.AspNetCore;
using Serilog;
using Ullet.Core.Drawings;
using Ullet.Core.Evaluation;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Data;
using Ullet.Server.Demo;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;
using Ullet.Server.Hosting;
using Ullet.Server.Scenes;

var builder = WebApplication.CreateBuilder(args);
builder.Host.UseSerilog(
    (_, log) =>
        log
            .MinimumLevel.Warning()
            .WriteTo.Console(outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj}{NewLine}{Exception}")
);
var options = ServerOptions.From(builder.Configuration);
var describesOnly = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = Safety.LargestRequest);
builder.WebHost.UseUrls($"http://127.0.0.1:{options.Port}");
builder.Configuration["AllowedHosts"] = "localhost;127.0.0.1;[::1]";

builder.Services.AddSingleton(options);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(_ => new StationCache());
builder.Services.AddSingleton<FontShelf>();
builder.Services.AddSingleton<IGlyphSource>(services => services.GetRequiredService<FontShelf>());
builder.Services.AddSingleton<Evaluator>();
builder.Services.AddSingleton<EvaluatedHeads>();
builder.Services.AddSingleton<SceneBuilder>();
builder.Services.AddDbContext<UlletDb>(
    (services, db) =>
        db.UseSqlite(DatabaseStart.ConnectionString(services.GetRequiredService<ServerOptions>().DataFolder))
);
builder.Services.AddScoped<AssetStore>();
builder.Services.AddScoped<IImportedDrawings, ImportedDrawings>();
builder.Services.AddScoped<DocumentHistory>();
builder.Services.AddScoped<Evaluations>();
builder.Services.AddScoped<CutExports>();
builder.Services.AddExceptionHandler<ExceptionAnswers>();
builder.Services.AddProblemDetails();
builder.Services.AddOpenApi(api => api.AddSchemaTransformer(RequiredDiscriminators.Transform));
builder.Services.Configure<JsonOptions>(json => ProjectJson.Configure(json.SerializerOptions));
builder.Services.Configure<RouteHandlerOptions>(route => route.ThrowOnBadRequest = true);
builder.Services.Configure<FormOptions>(form => form.MultipartBodyLengthLimit = Safety.LargestRequest);
builder.Services.AddResponseCompression(compression =>
    compression.MimeTypes = ResponseCompressionDefaults.MimeTypes.Append("application/octet-stream")
);

var app = builder.Build();
app.UseExceptionHandler();
app.UseResponseCompression();
Safety.Use(app);
if (options.WebFolder is { } folder)
{
    WebApp.UseFiles(app, folder);
}
app.UseRouting();
app.MapOpenApi();
app.MapScalarApiReference("/docs");
ReferenceEndpoints.Map(app);
ProjectEndpoints.Map(app);
PatternEndpoints.Map(app);
EditEndpoints.Map(app);
SceneEndpoints.Map(app);
ExportEndpoints.Map(app);
CutEndpoints.Map(app);
ImportEndpoints.Map(app);
FontEndpoints.Map(app);
ClipEndpoints.Map(app);
DeviceEndpoints.Map(app);
app.Map(
        "/api/{**path}",
        (string path) =>
            Problems.Of(
                new Refusal("address-unknown", path, $"There is nothing at /api/{path} for this kind of request.")
            )
    )
    .ExcludeFromDescription();
if (options.WebFolder is { } web)
{
    WebApp.MapPage(app, web);
}

if (!describesOnly)
{
    Directory.CreateDirectory(options.DataFolder);
    using var scope = app.Services.CreateScope();
    DatabaseStart.Migrate(scope.ServiceProvider.GetRequiredService<UlletDb>(), options.DataFolder);
    await scope.ServiceProvider.GetRequiredService<AssetStore>().PutFontsOnShelf(CancellationToken.None);
    if (options.Demo)
    {
        await DemoShelf.Fill(scope.ServiceProvider);
    }
    await BinEmptying.Run(scope.ServiceProvider.GetRequiredService<UlletDb>(), TimeProvider.System);
    app.Lifetime.ApplicationStarted.Register(() =>
        Console.WriteLine($"Ullet is ready: {string.Join(' ', app.Urls)} (data in {options.DataFolder})")
    );
}
await app.RunAsync();

/// <summary>The server's entry point.</summary>
public partial class Program;
