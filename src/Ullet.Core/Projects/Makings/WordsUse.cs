namespace Ullet.Core.Projects;

/// <summary>What letters are made into.</summary>
public enum WordsUse
{
    /// <summary>Every letter is a piece of its own.</summary>
    OneByOne,

    /// <summary>All letters are laid and sewn as one piece; letters that overlap are joined.</summary>
    OnePiece,

    /// <summary>No cloth: the letters' edges are sewn as lines.</summary>
    StitchedOutline,

    /// <summary>No cloth: the letters themselves are sewn, in strokes from side to side.</summary>
    Satin,

    /// <summary>No cloth: the letters themselves are filled with rows.</summary>
    Filled,
}

/// <summary>How words are used, told by their form and making together.</summary>
public static class WordsUses
{
    /// <summary>What letters are made into; null for anything but words.</summary>
    public static WordsUse? Of(Element element)
    {
        var words = element.FormedAs<TextForm>();
        return words is null ? null
            : element.LastMaking is LineMaking ? WordsUse.StitchedOutline
            : element.LastMaking is SatinMaking ? WordsUse.Satin
            : element.LastMaking is FilledMaking ? WordsUse.Filled
            : words.IsOnePiece ? WordsUse.OnePiece
            : WordsUse.OneByOne;
    }
}
