using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How far an element's finished edge lies outside its bare outline.</summary>
public static class FinishedEdge
{
    /// <summary>The cover's outside share as sewn, mm; half a thread for stitched lines; 0 where nothing is stitched over the
    /// edge (no cover, or a construction shape).</summary>
    public static double Beyond(Element element, Project project)
    {
        if (element.IsConstruction)
        {
            return 0;
        }
        if (element is StitchedLine or Words { Use: LetteringUse.StitchedOutline })
        {
            return StitchDefaults.ThreadWidth / 2;
        }
        return element is AppliqueElement { Stages.Cover.Off: false } piece
            ? CoverChoice.Of(piece, project).Outside
            : 0;
    }
}
