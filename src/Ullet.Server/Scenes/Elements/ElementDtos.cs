using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Elements as screens draw and change them.</summary>
internal sealed class ElementDtos(Evaluator evaluator)
{
    private readonly OperationDtos _operations = new(evaluator);

    internal ElementDto Build(Element element, Evaluated evaluated)
    {
        var outline = evaluated.Outlines[element.Id];
        return new ElementDto(
            element.Id,
            element.Name,
            element.Box,
            FormDtos.Of(element, evaluator),
            MakingDtos.Of(element, evaluated),
            element.GroupId,
            element.IsLocked,
            element.IsHidden,
            element.StaysCentred,
            NodeLines.Of(element) is not null,
            element.Making.FollowsLines,
            element.PatternPart is not null,
            PathText.Of(outline),
            // Words without their font have no outline; they are shown as the box they would take.
            SceneBuilder.Size(outline.Bounds())
                ?? new SizeDto(
                    element.Box.X - (element.Box.Width / 2),
                    element.Box.Y - (element.Box.Height / 2),
                    element.Box.Width,
                    element.Box.Height
                ),
            SceneBuilder.Size(evaluated.StitchedBounds(element.Id)),
            _operations.Of(element, evaluated),
            _operations.LeftoversOf(element, evaluated),
            [
                .. evaluated
                    .Project.Elements.Where(other => other.SourceIds().Contains(element.Id))
                    .Select(other => other.Id),
            ],
            SetMaking.KindsOf(element),
            SketchShelf.PartOf(element) is not null,
            SketchMaking.WayOf(element),
            element.Box.IsAskew,
            TraitTable.Of(element, evaluated.Project, evaluator)
        );
    }
}
