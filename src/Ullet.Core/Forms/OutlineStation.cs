using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>Document to outline: the form in its box, leaned, flipped, turned and moved to its place.</summary>
public sealed class OutlineStation(IGlyphSource fonts) : IStation<Element, ElementOutline>
{
    public int Version => 4;

    public long Bytes(ElementOutline output) => output.Bytes;

    public ContentHash Key(Element input) =>
        ContentHash.Of(
            input.Box,
            $"outline-{Version}-{input.IsLinework}-{input.Making.IsInParts}-{FormModules.Of(input.Form).Key(input.Form, fonts).Hex}"
        );

    /// <summary>The outline on the wall, mm.</summary>
    /// <returns>Empty for words whose font is not there.</returns>
    public ElementOutline Compute(Element input, CancellationToken cancellation) =>
        FormModules.Of(input.Form).Outline(input, fonts);

    /// <summary>The words as their font sets them, before they are fitted to their box; nothing without the font.</summary>
    public LaidText Lay(TextForm words) => TextModule.Lay(words, fonts);
}
