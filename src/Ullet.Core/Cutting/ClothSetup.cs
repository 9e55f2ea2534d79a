using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>How a cloth of a project is cut, everything that was not set filled in.</summary>
/// <param name="Cloth">The cloth.</param>
/// <param name="Cut">What is set for it.</param>
/// <param name="Mat">The mat it lies on.</param>
/// <param name="Profile">How it is cut.</param>
public sealed record ClothSetup(Cloth Cloth, ClothCut Cut, MatSize Mat, CutProfile Profile)
{
    public static ClothSetup Of(Project project, Cloth cloth)
    {
        var cut = project.Cut.Of(cloth.Id);
        return new ClothSetup(
            cloth,
            cut,
            cut.Mat ?? new MatSize(project.Cut.MatWidth, project.Cut.MatHeight, project.Cut.MatMargin),
            cut.Profile ?? CutProfiles.For(cloth.Kind)
        );
    }

    /// <summary>True when it is cut from its back, so that every shape is mirrored.</summary>
    public bool IsMirrored => Cut.Lies != Lying.FaceUp;

    /// <summary>True for what no cutter takes: a zip is cut to length with scissors.</summary>
    public bool IsByHand => Cloth.Kind == ClothKind.Zip;

    /// <summary>Where shapes may lie on the mat, mm from its top left.</summary>
    public Box Usable =>
        new(
            Mat.Margin,
            Mat.Margin,
            Math.Min(Mat.Width - Mat.Margin, Mat.Margin + (Cut.UsableWidth ?? double.MaxValue)),
            Mat.Height - Mat.Margin
        );

    /// <summary>Why it is mirrored, in words; null when it is not.</summary>
    public string? MirrorReason => ReasonOf(Cut.Lies);

    /// <summary>Why a cloth that lies so is cut mirrored, in words; null when it is not.</summary>
    public static string? ReasonOf(Lying lies) =>
        lies switch
        {
            Lying.FaceDown => "cloth face down",
            Lying.PaperUp => "fusible, paper up",
            Lying.FilmDown => "iron-on film, carrier down",
            _ => null,
        };
}
