using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>Needle points of a file, sewn as they stand, or moved apart with their element.</summary>
/// <param name="Form">The points.</param>
/// <param name="Map">From the file's mm to the wall.</param>
/// <param name="Look">How they look.</param>
/// <param name="Growth">How much longer a stitch becomes; 1 where it stands as in the file.</param>
public sealed record OpenedPlan(OpenedForm Form, Affine Map, OpenedLook Look, double Growth) : StitchPlan
{
    public override bool HidesUnderTop => Look is OpenedLook.Satin or OpenedLook.Fill;

    /// <summary>Stands for it in keys.</summary>
    internal ContentHash Key(string outlineKey) =>
        ContentHash.Of(
            new
            {
                Form.Needle,
                Map,
                Look,
                Growth,
            },
            $"opened-{outlineKey}"
        );
}
