using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes another thread wherever one is used; both stay among the threads.</summary>
public sealed record ExchangeThread : Edit
{
    public required string FromId { get; init; }

    public required string ToId { get; init; }

    public override string Label(Project before) =>
        $"Exchange {before.FindThread(FromId)?.Name ?? "a thread"} for {before.FindThread(ToId)?.Name ?? "another"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (new[] { FromId, ToId }.FirstOrDefault(id => project.FindThread(id) is null) is { } unknown)
        {
            return EditRefusals.NoThread(unknown);
        }
        string Other(string id) => id == FromId ? ToId : id;
        return Exchanged.Makings(project, id => id, Other) with
        {
            Hoopings =
            [
                .. project.Hoopings.Select(hooping =>
                    hooping with
                    {
                        LineThreadId = Other(hooping.LineThreadId),
                        CoverThreadId = Other(hooping.CoverThreadId),
                    }
                ),
            ],
            HoopingChoices =
            [
                .. project.HoopingChoices.Select(choice =>
                    choice with
                    {
                        LineThreadId = choice.LineThreadId is { } id ? Other(id) : null,
                    }
                ),
            ],
        };
    }
}

/// <summary>Takes another cloth wherever one is used, what is hooped and what hands lay included; both stay among the cloths.</summary>
public sealed record ExchangeCloth : Edit
{
    public required string FromId { get; init; }

    public required string ToId { get; init; }

    public override string Label(Project before) =>
        $"Exchange {before.FindCloth(FromId)?.Name ?? "a cloth"} for {before.FindCloth(ToId)?.Name ?? "another"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (new[] { FromId, ToId }.FirstOrDefault(id => project.FindCloth(id) is null) is { } unknown)
        {
            return EditRefusals.NoCloth(unknown);
        }
        if (Unfit(project) is { } why)
        {
            return new Refusal("exchange-unfit", "toId", why) { Kind = RefusalKind.NotPossible };
        }
        string Other(string id) => id == FromId ? ToId : id;
        string? OrNone(string? id) => id is null ? null : Other(id);
        var made = Exchanged.Makings(project, Other, id => id);
        return made with
        {
            Elements =
            [
                .. made.Elements.Select(element =>
                    element with
                    {
                        Operations =
                        [
                            .. element.Operations.Select(operation =>
                                operation is Split split
                                    ? split with
                                    {
                                        RightClothId = OrNone(split.RightClothId),
                                    }
                                    : operation
                            ),
                        ],
                    }
                ),
            ],
            Hoopings =
            [
                .. made.Hoopings.Select(hooping =>
                    hooping with
                    {
                        GroundClothId = OrNone(hooping.GroundClothId),
                        StabiliserClothId = OrNone(hooping.StabiliserClothId),
                        RunSheet = hooping.RunSheet with
                        {
                            Hands =
                            [
                                .. hooping.RunSheet.Hands.Select(hand => hand with { ClothId = OrNone(hand.ClothId) }),
                            ],
                        },
                    }
                ),
            ],
        };
    }

    /// <summary>Film that shines between rows can only be exchanged for film.</summary>
    private string? Unfit(Project project)
    {
        var (from, to) = (project.FindCloth(FromId)!, project.FindCloth(ToId)!);
        var user =
            to.Kind == ClothKind.Film
                ? null
                : project.Elements.FirstOrDefault(element =>
                    element.Makings().OfType<FilledMaking>().Any(filled => filled.FilmClothId == FromId)
                );
        return user is null
            ? null
            : $"{from.Name} shines between the rows of {user.Name} and is torn away round it; {to.Name} is no film.";
    }
}

/// <summary>Other cloths and threads in all that is and was made of elements.</summary>
internal static class Exchanged
{
    internal static Project Makings(Project project, Func<string, string> cloth, Func<string, string> thread)
    {
        var ids = new IdMap(
            project.Cloths.ToDictionary(known => known.Id, known => cloth(known.Id)),
            project.Threads.ToDictionary(known => known.Id, known => thread(known.Id)),
            project.Elements.ToDictionary(element => element.Id, element => element.Id)
        );
        Element Remade(Element element) => element.Remade(making => MakingModules.Of(making).Renamed(making, ids));
        return project with
        {
            Elements = [.. project.Elements.Select(Remade)],
            FillIns = [.. project.FillIns.Select(fillIn => fillIn.Exchanged(cloth, thread, Remade))],
        };
    }
}
