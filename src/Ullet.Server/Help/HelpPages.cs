using System.Collections.Immutable;
using System.Text;
using Markdig;
using Markdig.Renderers;
using Markdig.Renderers.Html;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Help;

/// <summary>A heading of the help with what stands below it.</summary>
/// <param name="Anchor">Names it on its page.</param>
/// <param name="Title">The heading.</param>
/// <param name="Text">What stands below, as plain text.</param>
internal sealed record HelpSection(string Anchor, string Title, string Text)
{
    /// <summary>What stands below as HTML; its examples are computed when it is first asked for.</summary>
    internal string Html => Made.Value;

    internal required Lazy<string> Made { get; init; }
}

/// <summary>A page of the help.</summary>
/// <param name="Id">Its name in addresses.</param>
/// <param name="Title">Its heading.</param>
/// <param name="Sections">In their order; the first is what stands before the first heading.</param>
internal sealed record HelpPage(string Id, string Title, ImmutableArray<HelpSection> Sections);

/// <summary>The help, read once from the pages that ship with Ullet (docs/help).</summary>
/// <remarks>A line <c>[[kind name]]</c> stands for something that is computed: the steps of an example, a picture, the verbs, the keys.
/// </remarks>
internal static class HelpPages
{
    /// <summary>The pages in the order in which they are listed.</summary>
    private static readonly ImmutableArray<string> Names =
    [
        "start",
        "methods",
        "makings",
        "hands",
        "order",
        "checks",
        "machine",
        "verbs",
        "words",
    ];

    private const string Prefix = "help/";

    private static readonly MarkdownPipeline Pipeline = new MarkdownPipelineBuilder()
        .DisableHtml()
        .UseGenericAttributes()
        .Build();

    private static readonly Lazy<ImmutableArray<HelpPage>> Read = new(() => [.. Names.Select(Page)]);

    internal static ImmutableArray<HelpPage> All => Read.Value;

    internal static HelpPage? Find(string id) => All.FirstOrDefault(page => page.Id == id);

    /// <summary>A page's source, as it is written.</summary>
    internal static string Source(string name)
    {
        using var stream =
            typeof(HelpPages).Assembly.GetManifestResourceStream($"{Prefix}{name}.md")
            ?? throw new InvalidOperationException($"The help page {name} is not in this build.");
        using var reader = new StreamReader(stream, Encoding.UTF8);
        return reader.ReadToEnd();
    }

    private static HelpPage Page(string name)
    {
        var document = Markdown.Parse(Source(name), Pipeline);
        var title = "";
        var sections = ImmutableArray.CreateBuilder<HelpSection>();
        var (anchor, heading, blocks) = ("top", "", new List<Block>());
        foreach (var block in document)
        {
            if (block is HeadingBlock { Level: 1 } first)
            {
                title = TextOf(first);
            }
            else if (block is HeadingBlock next)
            {
                Close();
                (anchor, heading, blocks) = (next.GetAttributes().Id ?? TextOf(next), TextOf(next), []);
            }
            else
            {
                blocks.Add(block);
            }
        }
        Close();
        return new HelpPage(name, title, sections.ToImmutable());

        void Close()
        {
            if (blocks.Count > 0)
            {
                var below = blocks;
                sections.Add(
                    new HelpSection(anchor, heading.Length > 0 ? heading : title, Text(below))
                    {
                        Made = new Lazy<string>(() => Html(below)),
                    }
                );
            }
        }
    }

    private static string Html(List<Block> blocks)
    {
        using var text = new StringWriter();
        foreach (var block in blocks)
        {
            if (block is ParagraphBlock paragraph && HelpInsert.Asked(TextOf(paragraph)) is { } insert)
            {
                text.Write(insert.Html());
                continue;
            }
            var renderer = new HtmlRenderer(text);
            Pipeline.Setup(renderer);
            renderer.Render(block);
        }
        return text.ToString();
    }

    private static string Text(List<Block> blocks) =>
        string.Join(
            ' ',
            blocks
                .SelectMany(block => block.Descendants().Prepend(block))
                .OfType<LeafBlock>()
                .Select(leaf =>
                {
                    var text = leaf.Inline is null ? leaf.Lines.ToString() : TextOf(leaf);
                    return HelpInsert.Asked(text) is { } insert ? insert.Text() : text;
                })
        );

    private static string TextOf(LeafBlock block) =>
        string.Concat(
            block
                .Inline!.Descendants()
                .Select(inline =>
                    inline switch
                    {
                        LiteralInline literal => literal.Content.ToString(),
                        CodeInline code => code.Content,
                        LineBreakInline => " ",
                        _ => "",
                    }
                )
        );

    /// <summary>The sections that a search finds, those with the words in their headings first.</summary>
    internal static IEnumerable<(HelpPage Page, HelpSection Section)> Found(string search)
    {
        var words = SearchText.Words(search);
        return words.Length == 0
            ? []
            : All.SelectMany(page => page.Sections.Select(section => (Page: page, Section: section)))
                .Select(each => (each, InTitle: Holds(each.Section.Title, words)))
                .Where(each => each.InTitle || Holds($"{each.each.Section.Title} {each.each.Section.Text}", words))
                .OrderByDescending(each => each.InTitle)
                .Select(each => each.each);
    }

    private static bool Holds(string text, string[] words) => SearchText.Holds(SearchText.Folded(text), words);
}
