using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>The colours of a project's cloths and threads, kept under a name to be chosen again.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">The user's name for it.</param>
/// <param name="Cloths">The colours of cloths.</param>
/// <param name="Threads">The colours of threads.</param>
public sealed record Colourway(
    string Id,
    string Name,
    ImmutableArray<NamedColour> Cloths,
    ImmutableArray<NamedColour> Threads
)
{
    /// <summary>Most that a project keeps.</summary>
    public const int Most = 24;

    /// <summary>The present colours of a project.</summary>
    /// <param name="project">The project.</param>
    /// <param name="id">Names it for ever.</param>
    /// <param name="name">The user's name for it.</param>
    /// <param name="named">The cloths and threads that it is about, by their ids; null for all.</param>
    public static Colourway Of(Project project, string id, string name, IReadOnlySet<string>? named = null) =>
        new(
            id,
            name,
            [
                .. project
                    .Cloths.Where(cloth => named?.Contains(cloth.Id) ?? true)
                    .Select(cloth => new NamedColour(cloth.Id, cloth.Name, cloth.Colour)),
            ],
            [
                .. project
                    .Threads.Where(thread => named?.Contains(thread.Id) ?? true)
                    .Select(thread => new NamedColour(thread.Id, thread.Name, thread.Colour)),
            ]
        );

    /// <summary>A project in these colours. Cloths and threads that came later keep theirs; kinds, patterns and photos stay.</summary>
    public Project Worn(Project project) =>
        project with
        {
            Cloths =
            [
                .. project.Cloths.Select(cloth =>
                    Find(Cloths, cloth.Id) is { } own ? cloth with { Name = own.Name, Colour = own.Colour } : cloth
                ),
            ],
            Threads =
            [
                .. project.Threads.Select(thread =>
                    Find(Threads, thread.Id) is { } own ? thread with { Name = own.Name, Colour = own.Colour } : thread
                ),
            ],
        };

    /// <summary>True when a project is in these colours.</summary>
    public bool IsWorn(Project project) =>
        Cloths.All(own => (project.FindCloth(own.Of)?.Colour ?? own.Colour) == own.Colour)
        && Threads.All(own => (project.FindThread(own.Of)?.Colour ?? own.Colour) == own.Colour);

    private static NamedColour? Find(ImmutableArray<NamedColour> colours, string of) =>
        colours.FirstOrDefault(own => own.Of == of);
}

/// <summary>A cloth's or a thread's colour, and what it is called then.</summary>
/// <param name="Of">The cloth or the thread.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Colour">#rrggbb.</param>
public sealed record NamedColour(string Of, string Name, string Colour);
