using System.Globalization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>A number that changes from order to order.</summary>
internal sealed class NumberFilling : FillInKind<NumberFillIn>
{
    public override string Kind => "number";

    public override string Name => "Number";

    private protected override Result<string> Read(NumberFillIn fillIn, string text, Project project)
    {
        var typed = text.Trim();
        if (typed.Length == 0)
        {
            return "";
        }
        if (
            typed.Length > 20
            || !decimal.TryParse(
                typed.Replace(',', '.'),
                NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign,
                CultureInfo.InvariantCulture,
                out var number
            )
        )
        {
            var odd = LookAlikes.In(typed);
            return new Refusal(
                "number-broken",
                fillIn.Label,
                $"{fillIn.Label} takes a number; “{Short(typed)}” is none.{(odd is null ? "" : " " + odd)}"
            );
        }
        if (number != Math.Round(number, fillIn.Decimals))
        {
            return new Refusal(
                "number-decimals",
                fillIn.Label,
                fillIn.Decimals == 0
                    ? $"{fillIn.Label} takes a whole number; {typed} is none."
                    : $"{fillIn.Label} takes up to {fillIn.Decimals} figures after the point; {typed} has more."
            );
        }
        return
            Limits.CheckRange((double)number, fillIn.Least, fillIn.Most, "", fillIn.Label, fillIn.Label) is { } refusal
            ? refusal
            : number.ToString(
                new string('0', Math.Max(1, fillIn.Figures))
                    + (fillIn.Decimals > 0 ? "." + new string('#', fillIn.Decimals) : ""),
                CultureInfo.InvariantCulture
            );
    }

    private protected override string? Odd(NumberFillIn fillIn, string text, string meant) =>
        meant.Length > 0 && text.Trim() != meant
            ? $"{fillIn.Label} was typed as {Short(text.Trim())}; it is sewn as {meant}."
            : null;

    private protected override Result<Filled> Fill(NumberFillIn fillIn, string meant, FillingWork work) =>
        Lettered.Fill(fillIn, meant, work);
}
