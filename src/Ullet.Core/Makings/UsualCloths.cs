using Ullet.Core.Projects;

namespace Ullet.Core.Makings;

/// <summary>What new cloth begins with where nobody chose.</summary>
public static class UsualCloths
{
    /// <summary>The cloth that was chosen last; else the one of the piece set last; else the first that is neither ground nor
    /// stabiliser; null in a project without any.</summary>
    public static Cloth? Of(Project project) =>
        project.FindCloth(project.Habits.ClothId)
        ?? project.FindCloth(project.Appliques().LastOrDefault(piece => piece.Element.PatternPart is null)?.ClothId)
        ?? project.Cloths.FirstOrDefault(cloth => cloth.Id != project.Hooping.TopClothId && cloth.IsSurface())
        ?? project.Cloths.FirstOrDefault();

    /// <summary>The method used last; trim in the hoop in a new project.</summary>
    public static Method MethodOf(Project project) =>
        project.Habits.Method ?? project.Appliques().LastOrDefault()?.Method ?? Method.TrimInTheHoop;
}
