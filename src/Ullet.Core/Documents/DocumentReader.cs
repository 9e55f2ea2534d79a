using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Reads documents: strictly from outside, kindly from the shelf.</summary>
public static class DocumentReader
{
    /// <summary>A document from outside: it keeps every limit.</summary>
    /// <returns>The project, or "project-broken", "project-newer" with a sentence.</returns>
    public static Result<Project> Brought(ReadOnlySpan<byte> utf8) =>
        ProjectJson.Read(utf8).Then(project => Admission.Of(null, project).Or(Broken));

    /// <summary>A document that Ullet stored itself: what newer limits forbid is opened all the same, and what nothing could be
    /// made of is brought back into its range (<see cref="Project.Mended"/> says what).</summary>
    /// <returns>The project, or "project-broken", "project-newer" with a sentence.</returns>
    public static Result<Project> Stored(ReadOnlySpan<byte> utf8) =>
        ProjectJson
            .Read(utf8)
            .Then(project =>
            {
                var mended = DocumentMending.Mended(DocumentText.Cleaned(project));
                return DocumentCheck.Fatal(mended) is { } refusal ? Broken(refusal) : (Result<Project>)mended;
            });

    private static Refusal Broken(Refusal refusal) =>
        refusal.Code == "project-broken"
            ? refusal
            : new Refusal(
                "project-broken",
                refusal.Place,
                $"This project can't be read: {char.ToLowerInvariant(refusal.Words[0])}{refusal.Words[1..]}"
            );
}
