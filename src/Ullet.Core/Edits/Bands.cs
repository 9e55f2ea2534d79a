using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>How far an element's stitching reaches beyond its bare outline.</summary>
internal static class Bands
{
    /// <summary>The cover's outside share with its compensation, mm; 0 without a cover.</summary>
    internal static double Outside(Element element)
    {
        if (element is not AppliqueElement { Stages.Cover: { Off: false } set })
        {
            return 0;
        }
        var cover = StageNumbers.Satin(set);
        return (cover.Width * (1 - cover.InsideShare)) + cover.Compensation;
    }

    /// <summary>The box of an element's outline, mm: with its cover, or bare.</summary>
    internal static Box BoxOf(Element element, EditContext context, bool withCover = false) =>
        context.Evaluator.OutlineOf(element).Bounds().Grown(withCover ? Outside(element) : 0);
}
