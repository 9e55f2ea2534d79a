using System.Globalization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>How far an order is.</summary>
public enum OrderState
{
    New,

    /// <summary>Its proof was printed; it holds to the state of the project that the proof shows.</summary>
    Proofed,

    /// <summary>Its packet was made and kept.</summary>
    Made,
    Sewn,
    Sent,
}

/// <summary>A row of the order book. No more is known of people than a reference.</summary>
public sealed record Order
{
    /// <summary>Names it for ever.</summary>
    public required string Id { get; init; }

    /// <summary>The shop's number; 1 to 24 characters.</summary>
    public required string Number { get; init; }

    /// <summary>The customer's reference; up to 60 characters.</summary>
    public string Reference { get; init; } = "";

    /// <summary>How many of it; 1 to 999.</summary>
    public int Quantity { get; init; } = 1;

    public OrderValues Values { get; init; } = OrderValues.None;

    /// <summary>A day, as 2026-11-30; empty for none.</summary>
    public string WantedBy { get; init; } = "";

    /// <summary>Up to 400 characters.</summary>
    public string Note { get; init; } = "";

    public OrderState State { get; init; }

    public const int LongestNumber = 24;

    public const int LongestReference = 60;

    public const int LongestNote = 400;

    public const int MostOf = 999;

    /// <summary>The order with clean texts.</summary>
    public Order Cleaned() =>
        this with
        {
            Number = PlainText.Line(Number),
            Reference = PlainText.Line(Reference),
            WantedBy = PlainText.Line(WantedBy),
            Note = PlainText.Line(Note),
            Values = new OrderValues([
                .. Values.All.Select(value => value with { Text = PlainText.Lines(value.Text).Trim() }),
            ]),
        };

    /// <summary>Says what can't be kept of it, or null. What its fill-ins say is judged, not refused: only what is longer than any
    /// fill-in takes is.</summary>
    public Refusal? Check() =>
        Number.Length is 0 or > LongestNumber
            ? new Refusal(
                "order-number",
                "number",
                $"An order needs a number of 1 to {LongestNumber} characters; “{Cut(Number)}” has {Number.Length:N0}."
            )
        : Reference.Length > LongestReference ? TooLong("reference", LongestReference, Reference.Length)
        : Note.Length > LongestNote ? TooLong("note", LongestNote, Note.Length)
        : Quantity is < 1 or > MostOf
            ? new Refusal(
                "order-quantity",
                "quantity",
                $"Order {Number}: from 1 to {MostOf} can be made of one order; {Quantity} was given."
            )
        : WantedBy.Length > 0 && !IsDay(WantedBy)
            ? new Refusal(
                "order-day",
                "wantedBy",
                $"Order {Number}: “{Cut(WantedBy)}” is no day; write it as 2026-11-30."
            )
        : Values.All.Select(Check).FirstOrDefault(no => no is not null);

    /// <summary>True for a day of the calendar written as 2026-11-30.</summary>
    public static bool IsDay(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    private Refusal? Check(OrderValue value) =>
        value.Text.Length > MostTyped
            ? new Refusal(
                "fill-in-too-long",
                value.FillInId,
                $"Order {Number}: a cell holds {value.Text.Length:N0} characters; none may have more than {MostTyped:N0}."
            )
            : null;

    /// <summary>Most characters of what is typed into a cell: more than any fill-in takes, so that it can be seen and mended.</summary>
    public const int MostTyped = 1000;

    private Refusal TooLong(string what, int most, int length) =>
        new("order-too-long", what, $"Order {Number}: its {what} may have {most} characters; it has {length:N0}.");

    private static string Cut(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
