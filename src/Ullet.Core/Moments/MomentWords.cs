namespace Ullet.Core.Moments;

/// <summary>What a drawing says in words: labels on it, and the whole for whoever can't see it.</summary>
internal static class MomentWords
{
    internal static string View(MomentView view) =>
        view switch
        {
            MomentView.Front => "The front of the hoop",
            MomentView.Back => "The back of the hoop, turned over sideways",
            MomentView.Out => "Out of the hoop",
            MomentView.OutInside => "Out of the hoop, inside out",
            _ => throw new ArgumentOutOfRangeException(nameof(view), view, "no such view"),
        };

    /// <summary>"right side to you"; nothing where a cloth has no right side.</summary>
    internal static string Face(SeenFace face) =>
        face switch
        {
            SeenFace.Either => "",
            SeenFace.Right => "right side to you",
            SeenFace.Wrong => "wrong side to you",
            _ => throw new ArgumentOutOfRangeException(nameof(face), face, "no such face"),
        };

    internal static string Named(string name, SeenFace face) =>
        Face(face) is { Length: > 0 } said ? $"{name}, {said}" : name;

    /// <summary>The label of a part; null for what says itself.</summary>
    internal static string? Of(MomentPart part) =>
        part switch
        {
            LayerPart { IsNew: true } layer => Named(layer.Layer.Name, layer.Face),
            LayerPart or ThreadPart => null,
            AlignedPart => "Lay it along this line",
            EdgePart { IsPressed: true } => "Pressed edge",
            EdgePart => "Raw edge on the line",
            RolledPart => "Rolled up, inside the frame",
            FoldPart => "Fold here, crease it",
            TapePart => "Tape",
            ZipPart { IsNew: true } => "Slider",
            ZipPart => null,
            PullPart => "Pull the slider",
            ScissorsPart => "Cut along here",
            TakenOutPart => "Take this out",
            GapPart gap => FormattableString.Invariant($"The gap, about {5 * Math.Round(gap.Length / 5):0} mm"),
            WayPart => "Turn it through here",
            NumberPart or SeatPart => null,
            _ => throw new ArgumentException($"No words are known of {part.GetType().Name}.", nameof(part)),
        };

    /// <summary>The whole drawing in words.</summary>
    internal static string Whole(Moment moment)
    {
        var said = moment.Parts.Select(Of).OfType<string>().Distinct(StringComparer.Ordinal).ToList();
        var stack = moment.Stack.Reverse().Select(layer => layer.Name).ToList();
        return $"{View(moment.View)}. "
            + string.Concat(said.Select(each => each + ". "))
            + (stack.Count > 0 ? $"Nearest to you first: {string.Join(", ", stack)}." : "");
    }
}
