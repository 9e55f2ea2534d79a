using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Brings what an older build stored, and nothing can be made of, back into its range.</summary>
internal static class DocumentMending
{
    private const string Grey = "#808080";

    internal static Project Mended(Project project)
    {
        var words = ImmutableArray.CreateBuilder<string>();
        T Say<T>(T value, string what)
        {
            words.Add(what);
            return value;
        }
        string Colour(string colour, string whose) =>
            Limits.CheckColour(colour, whose) is null
                ? colour
                : Say(Grey, $"The colour of {whose} was none; it is grey now.");
        var cloths = project.Cloths.Select(cloth =>
            cloth with
            {
                Colour = Colour(cloth.Colour, cloth.Name),
                PatternColour = cloth.PatternColour is { } own ? Colour(own, cloth.Name) : null,
            }
        );
        var threads = project.Threads.Select(thread => thread with { Colour = Colour(thread.Colour, thread.Name) });
        var elements = project.Elements.Select(element => Mended(element, what => words.Add(what)));
        var cut = project.Cut;
        var mat = new CutSettings();
        var isMat = CutLimits.Check(new MatSize(cut.MatWidth, cut.MatHeight, cut.MatMargin)) is null;
        var mended = project with
        {
            Cloths = [.. cloths],
            Threads = [.. threads],
            Colourways = [.. project.Colourways.Select(own => Mended(own, Colour))],
            Elements = [.. elements],
            Cut = cut with
            {
                MatWidth = isMat ? cut.MatWidth : Say(mat.MatWidth, "The mat had no size; it has the usual one now."),
                MatHeight = isMat ? cut.MatHeight : mat.MatHeight,
                MatMargin = isMat ? cut.MatMargin : mat.MatMargin,
                Cloths =
                [
                    .. cut.Cloths.Select(own =>
                        CutLimits.Check(own) is null
                            ? own
                            : Say(
                                new ClothCut { ClothId = own.ClothId, Lies = own.Lies },
                                "The cut settings of a cloth were out of their range; they are as usual now."
                            )
                    ),
                ],
            },
            NextNumber = Math.Max(project.NextNumber, 1 + HighestNumber(project)),
        };
        return mended with { Mended = words.ToImmutable() };
    }

    private static Element Mended(Element element, Action<string> say)
    {
        var name = element.Name;
        var box = element.Box;
        var least = element.IsLinework ? 0 : Limits.SmallestSize;
        var fitted = box with
        {
            Width = Math.Max(box.Width, least),
            Height = Math.Max(box.Height, least),
            Skew = Math.Clamp(box.Skew, -Limits.MostSkew, Limits.MostSkew),
        };
        if (fitted != box)
        {
            say(
                $"{name} had no size, or leaned beyond all measure; it is {fitted.Width:0.##} × {fitted.Height:0.##} mm now."
            );
        }
        element = element with
        {
            Box = fitted,
            Operations =
            [
                .. element.Operations.Select(operation =>
                    operation.IsMuted || OperationLimits.Check(operation) is null
                        ? operation
                        : operation with
                        {
                            IsMuted = true,
                        }
                ),
            ],
        };
        if (ElementCheck.Form(element) is { } form && form.Code == "number-out-of-range")
        {
            say($"{form.Words} It is brought back into that.");
            element = element with { Form = FormModules.Of(element.Form).Clamped(element.Form) };
        }
        if (ElementCheck.Making(element) is { } making && making.Code == "number-out-of-range")
        {
            say($"{making.Words} Its stages are as first set.");
            element = element.Remade(settings => MakingModules.Of(settings).AsFirstSet(settings));
        }
        return element;
    }

    /// <summary>The highest number in an id: the next part must get a higher one.</summary>
    private static int HighestNumber(Project project) =>
        project
            .Elements.SelectMany(element => element.Operations.Select(operation => operation.Id).Append(element.Id))
            .Concat(project.Cloths.Select(cloth => cloth.Id))
            .Concat(project.Colourways.Select(own => own.Id))
            .Concat(project.Threads.Select(thread => thread.Id))
            .Concat(project.RunSheet.Hands.Select(hand => hand.Id))
            .Select(id => id.Length > 1 && char.IsAsciiLetterLower(id[0]) && Number(id[1..]) is { } number ? number : 0)
            .DefaultIfEmpty(0)
            .Max();

    private static int? Number(string text) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number < int.MaxValue / 2
            ? number
            : null;

    private static Colourway Mended(Colourway colourway, Func<string, string, string> colour) =>
        colourway with
        {
            Cloths = [.. colourway.Cloths.Select(own => own with { Colour = colour(own.Colour, own.Name) })],
            Threads = [.. colourway.Threads.Select(own => own with { Colour = colour(own.Colour, own.Name) })],
        };
}
