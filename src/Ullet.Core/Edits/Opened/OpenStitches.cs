using System.Collections.Immutable;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts the blocks of a stitch file on the wall, an element each, sewn as they stand in the file.</summary>
public sealed record OpenStitches : Edit
{
    /// <summary>What the import answered.</summary>
    public required string Token { get; init; }

    /// <summary>What the file is called.</summary>
    public required string Name { get; init; }

    /// <summary>How it is read where it does not say so itself.</summary>
    public OpenedReading Reading { get; init; } = new();

    /// <summary>The same design in other sizes, this one among them.</summary>
    public ImmutableArray<OpenedSize> Sizes { get; init; } = [];

    public override string Label(Project before) => $"Open {Name}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        context.Designs.Find(Token, Reading) is not { } design
            ? new Refusal(
                "import-unknown",
                "token",
                "That stitch file is not known any more, or can't be read so; choose it again."
            )
        : OpenedBlocks.Check(design) is { } no ? no
        : Opened(project, design);

    /// <summary>Says why a design can't be opened, or null.</summary>
    public static Refusal? Check(StitchDesign design) => OpenedBlocks.Check(design);

    private Result<Project> Opened(Project project, StitchDesign design)
    {
        if (project.OpenedFiles.Length >= OpenedFile.Most)
        {
            return new Refusal(
                "files-too-many",
                "token",
                $"A project takes up to {OpenedFile.Most} opened stitch files; take one out first."
            );
        }
        var file = new OpenedFile($"o{project.NextNumber}", Name, Token, Reading) { Sizes = Sizes };
        if (file.Check() is { } wrong)
        {
            return wrong;
        }
        project = project with { NextNumber = project.NextNumber + 1, OpenedFiles = project.OpenedFiles.Add(file) };
        (project, var stuff) = OpenedStuff.Brought(project, design);
        var group = design.Blocks.Length > 1 ? $"g{project.NextNumber}" : null;
        var made = OpenedBlocks.Of(design, file, stuff, project.NextNumber, group);
        return project with
        {
            Elements = project.Elements.AddRange(made),
            NextNumber = project.NextNumber + made.Length + 1,
        };
    }
}
