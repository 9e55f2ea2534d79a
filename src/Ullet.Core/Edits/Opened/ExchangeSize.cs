using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts another size of an opened design in its place: the middle, the steps, the roles and the threads stay.</summary>
public sealed record ExchangeSize : Edit
{
    /// <summary>The opening.</summary>
    public required string FileId { get; init; }

    /// <summary>The kept file of the other size.</summary>
    public required string Asset { get; init; }

    public override string Label(Project before) =>
        before.OpenedFiles.FirstOrDefault(file => file.Id == FileId)?.Sizes.FirstOrDefault(size => size.Asset == Asset)
            is { } to
            ? $"Exchange for {to.Name}"
            : "Exchange the size";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.OpenedFiles.FirstOrDefault(known => known.Id == FileId) is not { } file)
        {
            return new Refusal("file-unknown", "fileId", "There is no such opened file in this project.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        if (
            file.Sizes.FirstOrDefault(known => known.Asset == Asset) is not { } size
            || context.Designs.Find(Asset, file.Reading) is not { } design
        )
        {
            return new Refusal("size-unknown", "asset", $"{file.Name} was not opened with such a size.");
        }
        var blocks = FoundPieces.BlocksOf(project, FileId);
        if (blocks.FirstOrDefault(block => block.Element.IsLocked) is { } locked)
        {
            return EditRefusals.Locked(locked.Element);
        }
        if (blocks.Length != design.Blocks.Length || blocks.Where((block, i) => block.Making.Place != i).Any())
        {
            return new Refusal(
                "size-unlike",
                "asset",
                $"{file.Name} has {blocks.Length} blocks here and {design.Blocks.Length} in {size.Name}; blocks that were split, joined or "
                    + "taken away can't be exchanged. Open the other size beside it."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        var box = blocks.Aggregate(
            Box.Empty,
            (all, block) =>
                block
                    .OnWall()
                    .Where(point => point.Move == OpenedMove.Stitch)
                    .Aggregate(all, (so, point) => so.Including(point.At))
        );
        var move = (box.Centre - design.Bounds().Centre).Rounded(NeedlePack.Grid);
        return project with
        {
            OpenedFiles =
            [
                .. project.OpenedFiles.Select(known =>
                    known.Id == FileId ? known with { Asset = Asset, Name = size.Name } : known
                ),
            ],
            Elements =
            [
                .. project.Elements.Select(element =>
                    element.MadeAs<OpenedMaking>() is { } own && own.FileId == FileId
                        ? Exchanged(element, design.Blocks[own.Place], move)
                        : element
                ),
            ],
        };
    }

    private static Element Exchanged(Element element, DesignBlock block, Point move)
    {
        var form = OpenedForm.Of([.. block.Points.Select(point => point with { At = point.At + move })]);
        return element with { Form = form, Box = OpenedFrame.Box(form), StaysCentred = false };
    }
}
