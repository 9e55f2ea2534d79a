using Microsoft.EntityFrameworkCore;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Documents;

/// <summary>Titles that Ullet gives by itself are told apart; what a person types stays.</summary>
internal static class Titles
{
    /// <summary>A title that no project on the shelf has: this one, or with a number behind it.</summary>
    internal static async Task<string> Free(UlletDb db, string title, CancellationToken cancellation)
    {
        var taken = (
            await db
                .Projects.Where(project => project.DeletedAt == null)
                .Select(project => project.Title)
                .ToListAsync(cancellation)
        ).ToHashSet(StringComparer.OrdinalIgnoreCase);
        for (var number = 1; ; number++)
        {
            var ending = number == 1 ? "" : $" {number}";
            var free = title[..Math.Min(title.Length, Limits.LongestName - ending.Length)].TrimEnd() + ending;
            if (!taken.Contains(free))
            {
                return free;
            }
        }
    }
}
