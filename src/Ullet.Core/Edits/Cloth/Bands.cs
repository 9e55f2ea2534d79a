using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>How far an element's stitching reaches beyond its bare outline.</summary>
internal static class Bands
{
    /// <summary>The cover's outside share with its compensation, mm; 0 without a cover.</summary>
    internal static double Outside(Element element, Project project)
    {
        if (AppliqueElement.Of(element) is not { Stages.Cover.Off: false } piece)
        {
            return 0;
        }
        var cover = CoverChoice.Of(piece, project);
        return cover.Outside + cover.Band.Compensation;
    }

    /// <summary>The box of an element's outline, mm: with its cover, or bare.</summary>
    internal static Box BoxOf(Element element, EditContext context) => context.Evaluator.OutlineOf(element).Bounds();

    /// <summary>The box of an element's outline with its cover.</summary>
    internal static Box CoveredBoxOf(Element element, Project project, EditContext context) =>
        BoxOf(element, context).Grown(Outside(element, project));
}
