using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts copies of elements on top of the stack, a little aside.</summary>
public sealed record DuplicateElements : Edit
{
    /// <summary>How far right of and below its original a copy lies, mm.</summary>
    public const double Aside = 5;

    public required ImmutableArray<string> ElementIds { get; init; }

    public override string Label(Project before) => $"Duplicate {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var found = Chosen.Find(project, ElementIds, mayBeLocked: true);
        if (!found.IsOk)
        {
            return found.Refusal!;
        }
        var (groups, sources) = (new GroupCopies(), new SourceCopies());
        var files = FileCopies.Copied(ref project, found.Value);
        foreach (var element in found.Value)
        {
            var name = element.Name.EndsWith(" copy", StringComparison.Ordinal) ? element.Name : element.Name + " copy";
            var copy = element with
            {
                Id = $"e{project.NextNumber}",
                Name = name.Length <= Limits.LongestName ? name : element.Name,
                Box = element.Box with { X = element.Box.X + Aside, Y = element.Box.Y + Aside },
                StaysCentred = false,
                IsLocked = false,
                PatternPart = null,
                Making = element.Making is OpenedMaking opened
                    ? opened with
                    {
                        FileId = files[opened.FileId],
                    }
                    : element.Making,
            };
            (project, copy) = groups.Regrouped(project, copy);
            sources.Add(element.Id, copy.Id);
            project = project with { Elements = project.Elements.Add(copy), NextNumber = project.NextNumber + 1 };
        }
        return sources.Redirected(project);
    }
}
