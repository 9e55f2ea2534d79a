using System.Collections.Immutable;
using Ullet.Core.Findings;
using Ullet.Core.Orders;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Orders;

/// <summary>A field of the order book.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Kind">"words", "number", "drawing", "motif", "cloth", "thread", "optional".</param>
/// <param name="KindName">What a person calls the kind.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Group">Its group; null for none.</param>
/// <param name="Example">What the project itself says.</param>
/// <param name="Options">What may be chosen; nothing where it is typed freely.</param>
/// <param name="IsOfPattern">True for a pattern's own.</param>
/// <param name="FillIn">All that is said of it.</param>
public sealed record FieldDto(
    string Id,
    string Kind,
    string KindName,
    string Label,
    string? Group,
    string? Example,
    ImmutableArray<string> Options,
    bool IsOfPattern,
    FillIn FillIn
)
{
    internal static FieldDto Of(FillIn fillIn, Project project)
    {
        var kind = FillInKinds.Of(fillIn);
        return new FieldDto(
            fillIn.Id,
            kind.Kind,
            kind.Name,
            fillIn.Label,
            fillIn.Group,
            fillIn.Example,
            kind.Options(fillIn, project),
            project.FillIns.All(own => own.Id != fillIn.Id),
            // What a drawing's options are drawn of is not needed to show them.
            fillIn is DrawingFillIn drawing
                ? drawing with
                {
                    Options = [.. drawing.Options.Select(option => option with { Elements = [] })],
                }
                : fillIn
        );
    }
}

/// <summary>A row of the book.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Number">The shop's number.</param>
/// <param name="Reference">The customer's reference.</param>
/// <param name="Quantity">How many.</param>
/// <param name="Values">What its fill-ins say, by their ids.</param>
/// <param name="WantedBy">A day; empty for none.</param>
/// <param name="Note">A note.</param>
/// <param name="State">How far it is.</param>
/// <param name="IsHeld">True while it holds to a state of the project: from its proof on.</param>
/// <param name="OwnProjectId">The project that it was opened as; null for none.</param>
/// <param name="Made">What was made of it last; null for nothing.</param>
/// <param name="Judged">What was judged of it; null while it was not.</param>
public sealed record OrderDto(
    string Id,
    string Number,
    string Reference,
    int Quantity,
    ImmutableDictionary<string, string> Values,
    string WantedBy,
    string Note,
    OrderState State,
    bool IsHeld,
    string? OwnProjectId,
    MadeDto? Made,
    JudgedDto? Judged
);

/// <summary>Files that were made and are kept.</summary>
/// <param name="Id">Names them.</param>
/// <param name="Name">Their folder.</param>
/// <param name="Sha256">Their hash.</param>
/// <param name="Bytes">Their size.</param>
/// <param name="At">When, Unix ms.</param>
/// <param name="Revision">The state of the project that they were made from.</param>
/// <param name="Program">The Ullet that made them.</param>
/// <param name="Fonts">The fonts that they were made with.</param>
/// <param name="Hooping">The hooping for several that it lies in; null for files of its own.</param>
public sealed record MadeDto(
    long Id,
    string Name,
    string Sha256,
    long Bytes,
    long At,
    long Revision,
    string Program,
    ImmutableArray<string> Fonts,
    string? Hooping
);

/// <summary>What was judged of an order.</summary>
/// <param name="OrderId">Which; empty for one that is only tried.</param>
/// <param name="Level">"stop", "warn" or "fine".</param>
/// <param name="Outcomes">What became of each fill-in.</param>
/// <param name="Findings">What was found, the worst first.</param>
/// <param name="Says">What it says, in a line.</param>
/// <param name="Stitches">Needle points; 0 where it could not be computed.</param>
/// <param name="Seconds">At the machine, with hands.</param>
/// <param name="Width">Of the whole design, mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Differs">True where it holds to an earlier state of the project, and today's would come out differently.</param>
/// <param name="Look">Changes whenever its picture may.</param>
public sealed record JudgedDto(
    string OrderId,
    string Level,
    ImmutableArray<OutcomeDto> Outcomes,
    ImmutableArray<OrderFindingDto> Findings,
    string Says,
    int Stitches,
    double Seconds,
    double Width,
    double Height,
    bool Differs,
    string Look
);

/// <summary>What became of a fill-in.</summary>
/// <param name="FillInId">Which.</param>
/// <param name="Said">What is sewn.</param>
/// <param name="Rule">What was done to make it fit; empty for nothing.</param>
/// <param name="Trouble">Why it can't be made; null where it can.</param>
public sealed record OutcomeDto(string FillInId, string Said, string Rule, string? Trouble);

/// <summary>What was found of an order.</summary>
/// <param name="Level">How bad it is.</param>
/// <param name="FillInId">The fill-in; null for the whole order.</param>
/// <param name="Words">In a sentence or two.</param>
public sealed record OrderFindingDto(FindingLevel Level, string? FillInId, string Words);

/// <summary>The order book of a project.</summary>
/// <param name="Head">The project's state.</param>
/// <param name="Title">The project.</param>
/// <param name="Fields">What changes from order to order, in the order in which it is typed.</param>
/// <param name="Orders">The rows.</param>
/// <param name="Undo">What undo would take back; null for nothing.</param>
/// <param name="Redo">What redo would make again; null for nothing.</param>
public sealed record BookDto(
    long Head,
    string Title,
    ImmutableArray<FieldDto> Fields,
    ImmutableArray<OrderDto> Orders,
    string? Undo,
    string? Redo
);

/// <summary>Puts rows into words for the book.</summary>
internal static class BookShown
{
    internal static OrderDto Of(OrderRow row, MadeRow? made, JudgedDto? judged) =>
        new(
            row.Id,
            row.Number,
            row.Reference,
            row.Quantity,
            OrderJson.Read(row.Values).All.ToImmutableDictionary(value => value.FillInId, value => value.Text),
            row.WantedBy,
            row.Note,
            row.State,
            row.Revision is not null,
            row.OwnProjectId,
            made is null ? null : Of(made),
            judged
        );

    internal static MadeDto Of(MadeRow made) =>
        new(
            made.Id,
            made.Name,
            made.Sha256,
            made.Bytes,
            made.At,
            made.Revision,
            made.Program,
            System.Text.Json.JsonSerializer.Deserialize<OrderSum>(made.Facts, ProjectJson.Options)?.Fonts ?? [],
            made.Hooping
        );

    /// <summary>What was judged, with what the book says of the row itself.</summary>
    /// <param name="orderId">The row; empty for one that is only tried.</param>
    /// <param name="judged">What was judged of what it says.</param>
    /// <param name="held">Stands for what the order holds to; null while it goes with the master.</param>
    /// <param name="isDoubled">True where another row has its number.</param>
    /// <param name="number">Its number.</param>
    internal static JudgedDto Of(string orderId, Judged judged, string? held, bool isDoubled, string number)
    {
        var findings = judged
            .Order.Findings.Select(finding => new OrderFindingDto(finding.Level, finding.FillInId, finding.Words))
            .Concat(
                isDoubled
                    ?
                    [
                        new OrderFindingDto(
                            FindingLevel.Warn,
                            null,
                            $"The number {number} stands more than once in the book."
                        ),
                    ]
                    : Array.Empty<OrderFindingDto>()
            )
            .OrderBy(finding => finding.Level)
            .ToImmutableArray();
        return new JudgedDto(
            orderId,
            findings.IsEmpty ? "fine"
                : findings[0].Level == FindingLevel.Stop ? "stop"
                : "warn",
            [
                .. judged.Order.Filled.Outcomes.Select(outcome => new OutcomeDto(
                    outcome.FillInId,
                    outcome.Said,
                    outcome.Rule,
                    outcome.Trouble?.Words
                )),
            ],
            findings,
            judged.Order.Filled.Words,
            judged.Sum?.Stitches ?? 0,
            judged.Sum?.Seconds ?? 0,
            judged.Sum?.Width ?? 0,
            judged.Sum?.Height ?? 0,
            held is { Length: > 0 } && judged.Sum is { } sum && sum.Stamp != held,
            judged.Sum?.Stamp[..12] ?? "none"
        );
    }
}
