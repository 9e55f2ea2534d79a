using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>The door to the shelf: every document that is to be saved goes through it.</summary>
public static class Admission
{
    /// <summary>The document as it may be saved, or the first reason why not.</summary>
    /// <param name="before">The document that an edit was made on; null for a new one. Limits that it passed already may be
    /// passed on, but no farther.</param>
    /// <param name="after">The document that is to be saved.</param>
    /// <returns>It with its texts cleaned.</returns>
    public static Result<Project> Of(Project? before, Project after)
    {
        var clean = DocumentText.Cleaned(after);
        var known = new Dictionary<(string, string, string), double>();
        foreach (var breach in before is null ? [] : DocumentCheck.Of(before))
        {
            known[breach.Key] = Math.Max(known.GetValueOrDefault(breach.Key), breach.Amount);
        }
        foreach (var breach in DocumentCheck.Of(clean))
        {
            if (breach.IsFatal || !known.TryGetValue(breach.Key, out var amount) || breach.Amount > amount)
            {
                return breach.Refusal;
            }
        }
        return clean;
    }
}
