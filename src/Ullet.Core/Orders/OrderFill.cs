using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>What became of one fill-in of an order.</summary>
/// <param name="FillInId">Which.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Said">What it says, as it is meant; empty for nothing.</param>
/// <param name="Rule">What was done to make it fit, in words; empty for nothing.</param>
/// <param name="Trouble">Why it can't be made as typed; null where it can.</param>
/// <param name="Odd">What is odd about it; null for nothing.</param>
public sealed record FillInOutcome(
    string FillInId,
    string Label,
    string Said,
    string Rule,
    Refusal? Trouble,
    string? Odd
);

/// <summary>A project with an order filled in.</summary>
/// <param name="Project">It; what could not be filled in stands as in the master.</param>
/// <param name="Outcomes">What became of each fill-in, in their order.</param>
/// <param name="Rooms">Where words must lie, by element.</param>
public sealed record FilledOrder(
    Project Project,
    ImmutableArray<FillInOutcome> Outcomes,
    ImmutableArray<(string ElementId, FitRoom Room)> Rooms
)
{
    /// <summary>True when everything could be filled in.</summary>
    public bool IsWhole => Outcomes.All(outcome => outcome.Trouble is null);

    /// <summary>What it says, in a line: "Rowan, Leaf".</summary>
    public string Words => string.Join(", ", Outcomes.Select(each => each.Said).Where(said => said.Length > 0));
}

/// <summary>Fills orders into a project. The project itself is never changed.</summary>
public sealed class OrderFill(EditContext context)
{
    /// <param name="master">The project.</param>
    /// <param name="values">What the order says; words it says nothing of are empty, anything else stays as in the project.</param>
    /// <param name="reach">How far needle points were found outside an element's letters, mm; null for nothing known.</param>
    public FilledOrder Of(Project master, OrderValues values, IReadOnlyDictionary<string, double>? reach = null)
    {
        var fields = FillInFields.Of(master);
        var read = fields.ToDictionary(field => field.Id, field => Read(field, values, master), StringComparer.Ordinal);
        var troubles = new Dictionary<string, Refusal>(StringComparer.Ordinal);
        var project = WithPattern(master, fields, read, troubles);
        var work = new FillingWork(project, master, context, reach ?? ImmutableDictionary<string, double>.Empty)
        {
            PatternRooms = RoomsOf(project),
        };
        var done = new Dictionary<string, Filled>(StringComparer.Ordinal);
        // What is left out comes last: what follows it moves up as it was filled in.
        foreach (var field in fields.OrderBy(field => read[field.Id] is { IsOk: true, Value.Length: 0 }))
        {
            context.Cancellation.ThrowIfCancellationRequested();
            if (!read[field.Id].IsOk)
            {
                troubles[field.Id] = read[field.Id].Refusal!;
            }
            if (troubles.ContainsKey(field.Id))
            {
                continue;
            }
            var filled = FillInKinds.Of(field).Fill(field, read[field.Id].Value, work);
            if (filled.IsOk)
            {
                done[field.Id] = filled.Value;
                work = work with { Project = filled.Value.Project };
            }
            else
            {
                troubles[field.Id] = filled.Refusal!;
            }
        }
        return new FilledOrder(
            work.Project with
            {
                FillIns = [],
            },
            [.. fields.Select(field => Outcome(field, values, read[field.Id], done, troubles))],
            Rooms(done.Values)
        );
    }

    private static Result<string> Read(FillIn field, OrderValues values, Project master) =>
        values.Of(field.Id) is { Length: > FillInLimits.LongestValue * 5 } huge
            ? new Refusal(
                "fill-in-too-long",
                field.Label,
                $"{field.Label} was given {huge.Length:N0} characters; no fill-in takes more than {FillInLimits.LongestValue}."
            )
            : FillInKinds.Of(field).Read(field, PlainText.Lines(values.Of(field.Id) ?? ""), master);

    /// <summary>The project with what its pattern fills in by itself; what the pattern says no to is noted, and left as it stands.</summary>
    private Project WithPattern(
        Project master,
        ImmutableArray<FillIn> fields,
        Dictionary<string, Result<string>> read,
        Dictionary<string, Refusal> troubles
    )
    {
        var texts = fields
            .Where(field => field.PatternFillInId is not null && read[field.Id].IsOk)
            .Where(field => field is LetteredFillIn || read[field.Id].Value.Length > 0)
            .Select(field =>
                (field.Id, Text: new PatternText(field.PatternFillInId!, Given(field, read[field.Id].Value)))
            )
            .ToList();
        if (texts.Count == 0)
        {
            return master;
        }
        var made = Used(master, [.. texts.Select(each => each.Text)]);
        if (made.IsOk)
        {
            return made.Value;
        }
        var project = master;
        foreach (var (id, text) in texts)
        {
            var one = Used(project, [text]);
            if (one.IsOk)
            {
                project = one.Value;
            }
            else
            {
                troubles[id] = one.Refusal!;
            }
        }
        return project;
    }

    private Result<Project> Used(Project project, ImmutableArray<PatternText> texts) =>
        new UsePattern { PatternId = project.Pattern!.PatternId, FillIns = texts }.Apply(project, context);

    private static string Given(FillIn field, string read) =>
        (
            read.Length == 0 && field is LetteredFillIn { WhenEmpty: WhenEmpty.Instead, Instead: { } instead }
                ? instead
                : read
        ).Replace('\n', ' ');

    private static Dictionary<string, Box> RoomsOf(Project project) =>
        PatternShelf.PlanOf(project) is { } plan
            ? plan.Places.ToDictionary(place => place.ElementId, place => place.Room, StringComparer.Ordinal)
            : [];

    private static FillInOutcome Outcome(
        FillIn field,
        OrderValues values,
        Result<string> read,
        Dictionary<string, Filled> done,
        Dictionary<string, Refusal> troubles
    )
    {
        var typed = values.Of(field.Id) ?? "";
        var said = read.IsOk ? read.Value : PlainText.Line(typed.Length > 80 ? typed[..80] : typed);
        return new FillInOutcome(
            field.Id,
            field.Label,
            said,
            done.TryGetValue(field.Id, out var filled) ? filled.Rule : "",
            troubles.GetValueOrDefault(field.Id),
            read.IsOk ? FillInKinds.Of(field).Odd(field, typed, read.Value) : null
        );
    }

    /// <summary>The rooms where they are in the end.</summary>
    private static ImmutableArray<(string ElementId, FitRoom Room)> Rooms(IEnumerable<Filled> done)
    {
        var all = done.ToList();
        var moved = all.SelectMany(filled => filled.MovedUp)
            .GroupBy(each => each.ElementId, StringComparer.Ordinal)
            .ToDictionary(group => group.Key, group => group.Sum(each => each.By), StringComparer.Ordinal);
        return
        [
            .. all.SelectMany(filled => filled.Rooms)
                .Select(each =>
                    moved.TryGetValue(each.ElementId, out var by)
                        ? (each.ElementId, each.Room with { Box = each.Room.Box.Moved(0, -by) })
                        : each
                ),
        ];
    }
}
