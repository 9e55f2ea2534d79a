using System.Security.Cryptography;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Shelf;

/// <summary>What a card of the shelf tells of a document, kept beside it: nobody unpacks five hundred documents to show a shelf.</summary>
/// <param name="Hoop">Its hoop's name.</param>
/// <param name="Pieces">How many elements it has.</param>
/// <param name="Words">What it is found by, folded.</param>
internal sealed record ShelfFacts(string Hoop, int Pieces, string Words)
{
    /// <summary>Words beyond are not looked at.</summary>
    private const int MostWords = 4000;

    internal static ShelfFacts Of(Project project)
    {
        var words = project
            .Elements.SelectMany(element => new[] { element.Name, (element.Form as TextForm)?.Text })
            .Concat(project.Cloths.Select(cloth => cloth.Name))
            .Concat(project.Threads.Select(thread => thread.Label))
            .Append(project.Pattern is { } use ? PatternShelf.Find(use)?.Name : null)
            .OfType<string>()
            .Distinct(StringComparer.OrdinalIgnoreCase);
        var text = SearchText.Folded(string.Join('\n', words));
        return new ShelfFacts(
            project.Hooping.Hoop.Name,
            project.Elements.Length,
            text.Length <= MostWords ? text : text[..MostWords]
        );
    }

    /// <summary>Stands for a snapshot's bytes.</summary>
    internal static string HashOf(byte[] snapshot) => Convert.ToHexStringLower(SHA256.HashData(snapshot));

    /// <summary>Writes what is told of a state beside its project.</summary>
    internal static void Note(ProjectRow row, Project project, long revision, byte[] snapshot)
    {
        var facts = Of(project);
        row.FactsOf = revision;
        row.FactsHash = HashOf(snapshot);
        (row.Hoop, row.Pieces, row.Words) = (facts.Hoop, facts.Pieces, facts.Words);
    }
}
