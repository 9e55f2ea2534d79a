using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>How a kind of cloth was cut last, whatever the project.</summary>
/// <param name="Profile">The blade's settings; null for the generic ones.</param>
/// <param name="Tolerances">How exact cutter and hands were found to be.</param>
public sealed record KeptCut(CutProfile? Profile, EdgeTolerances Tolerances);

/// <summary>What is remembered of cutting across projects.</summary>
public interface IKeptCuts
{
    /// <summary>What was set last for a kind of cloth; null for nothing.</summary>
    KeptCut? Find(ClothKind kind);
}

/// <summary>Nothing is remembered.</summary>
public sealed class NoKeptCuts : IKeptCuts
{
    public KeptCut? Find(ClothKind kind) => null;
}

/// <summary>Gives new cloths what is remembered of their kind.</summary>
public static class KeptCuts
{
    /// <summary>The document in which cloths for which nothing was set are cut as their kind was cut last.</summary>
    public static Project Begun(Project project, IKeptCuts kept) =>
        project.Cloths.Aggregate(
            project,
            (so, cloth) =>
                so.Cut.Of(cloth.Id) is { Profile: null } cut
                && cut.Tolerances == new EdgeTolerances()
                && kept.Find(cloth.Kind) is { } last
                    ? so with
                    {
                        Cut = so.Cut.With(cut with { Profile = last.Profile, Tolerances = last.Tolerances }),
                    }
                    : so
        );
}
