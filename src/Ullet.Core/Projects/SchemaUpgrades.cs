using System.Collections.Immutable;
using System.Text.Json.Nodes;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>One pure step that raises a document's JSON from a schema to the next.</summary>
/// <param name="From">The schema it reads; it writes From + 1.</param>
/// <param name="Apply">Gives the raised JSON; the version number is set by the caller.</param>
public sealed record SchemaUpgrade(int From, Func<JsonObject, JsonObject> Apply);

/// <summary>Raises older documents, step by step, to a schema.</summary>
public sealed class SchemaUpgrades(int current, ImmutableArray<SchemaUpgrade> steps)
{
    /// <summary>The steps of this build. From 1 to 2 lettering, lines, groups, locks and photo swatches came in, all of
    /// them with defaults, so nothing of an older document has to be rewritten. From 2 to 3 operations came in, and a drawing
    /// may hold several lines. From 3 to 4 methods, kinds of covers, stretches with numbers of their own, habits and the order
    /// of pieces came in, all of them with defaults. From 4 to 5 zones, patterns, the user's own order and hand steps came in,
    /// all of them with defaults. From 5 to 6 each cloth got cut settings of its own; the list of mirrored cloths became the way
    /// in which each lies on the mat. From 6 to 7 every element became a form and a making, and the hooping with its run sheet
    /// the first of a list.</summary>
    public static readonly SchemaUpgrades Shipped = new(
        Project.CurrentSchema,
        [
            new SchemaUpgrade(1, json => json),
            new SchemaUpgrade(2, DrawingsOfLines.Raise),
            new SchemaUpgrade(3, json => json),
            new SchemaUpgrade(4, json => json),
            new SchemaUpgrade(5, MirrorsOfCloths.Raise),
            new SchemaUpgrade(6, FormsAndMakings.Raise),
        ]
    );

    /// <returns>The JSON at the current schema, or "project-newer" / "project-broken".</returns>
    public Result<JsonObject> Raise(JsonObject json)
    {
        if (json["schemaVersion"] is not JsonValue number || !number.TryGetValue(out int version) || version < 1)
        {
            return new Refusal(
                "project-broken",
                "schemaVersion",
                "This project can't be read: it does not say which version of the document it is."
            );
        }
        if (version > current)
        {
            return new Refusal(
                "project-newer",
                "schemaVersion",
                $"This project was made by a newer Ullet (document version {version}; this one reads up to {current}). "
                    + "Bring Ullet up to date and open it again."
            );
        }
        for (; version < current; version++)
        {
            var step =
                steps.FirstOrDefault(step => step.From == version)
                ?? throw new InvalidOperationException($"No upgrade from document version {version}.");
            json = step.Apply(json);
            json["schemaVersion"] = version + 1;
        }
        return json;
    }
}
