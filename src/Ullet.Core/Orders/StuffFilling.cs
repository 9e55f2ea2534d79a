using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>A cloth that changes from order to order.</summary>
internal sealed class ClothFilling : FillInKind<ClothFillIn>
{
    public override string Kind => "cloth";

    public override string Name => "Cloth";

    private protected override ImmutableArray<string> Options(ClothFillIn fillIn, Project project) =>
        [
            .. fillIn
                .OptionIds.Prepend(fillIn.ClothId)
                .Distinct(StringComparer.Ordinal)
                .Select(project.FindCloth)
                .OfType<Cloth>()
                .Select(cloth => cloth.Name),
        ];

    private protected override Result<string> Read(ClothFillIn fillIn, string text, Project project) =>
        Among(fillIn.Label, text.Trim(), Options(fillIn, project));

    /// <summary>A cloth that a pattern lays keeps its id, so that the pattern's steps find it; any other is exchanged for the chosen one.</summary>
    private protected override Result<Filled> Fill(ClothFillIn fillIn, string meant, FillingWork work)
    {
        var project = work.Project;
        var chosen = fillIn
            .OptionIds.Select(project.FindCloth)
            .FirstOrDefault(cloth => cloth is not null && cloth.Name == meant);
        if (chosen is null || chosen.Id == fillIn.ClothId || project.FindCloth(fillIn.ClothId) is not { } now)
        {
            return new Filled(project);
        }
        var isLaid = PatternShelf.PlanOf(project)?.Cloths.Any(need => need.Cloth.Id == fillIn.ClothId) == true;
        return isLaid
            ? new Filled(project with { Cloths = project.Cloths.Replace(now, chosen with { Id = now.Id }) })
            : new ExchangeCloth { FromId = fillIn.ClothId, ToId = chosen.Id }
                .Apply(project, work.Context)
                .Then(after => (Result<Filled>)new Filled(after));
    }
}

/// <summary>A thread that changes from order to order.</summary>
internal sealed class ThreadFilling : FillInKind<ThreadFillIn>
{
    public override string Kind => "thread";

    public override string Name => "Thread";

    private protected override ImmutableArray<string> Options(ThreadFillIn fillIn, Project project) =>
        [
            .. fillIn
                .OptionIds.Prepend(fillIn.ThreadId)
                .Distinct(StringComparer.Ordinal)
                .Select(project.FindThread)
                .OfType<MachineThread>()
                .Select(thread => thread.Name),
        ];

    private protected override Result<string> Read(ThreadFillIn fillIn, string text, Project project) =>
        Among(fillIn.Label, text.Trim(), Options(fillIn, project));

    private protected override Result<Filled> Fill(ThreadFillIn fillIn, string meant, FillingWork work)
    {
        var chosen = fillIn
            .OptionIds.Select(work.Project.FindThread)
            .FirstOrDefault(thread => thread is not null && thread.Name == meant);
        return chosen is null || chosen.Id == fillIn.ThreadId
            ? new Filled(work.Project)
            : new ExchangeThread { FromId = fillIn.ThreadId, ToId = chosen.Id }
                .Apply(work.Project, work.Context)
                .Then(after => (Result<Filled>)new Filled(after));
    }
}

/// <summary>Elements that an order has, or has not.</summary>
internal sealed class OptionalFilling : FillInKind<OptionalFillIn>
{
    internal const string With = "yes";

    internal const string Without = "no";

    public override string Kind => "optional";

    public override string Name => "With or without";

    private protected override ImmutableArray<string> Options(OptionalFillIn fillIn, Project project) =>
        [With, Without];

    private protected override Result<string> Read(OptionalFillIn fillIn, string text, Project project) =>
        text.Trim().ToLowerInvariant() switch
        {
            "" => "",
            With or "y" or "with" or "on" or "true" or "1" or "x" => With,
            Without or "n" or "without" or "off" or "false" or "0" or "-" => Without,
            _ => new Refusal(
                "option-unknown",
                fillIn.Label,
                $"{fillIn.Label} is {With} or {Without}; “{Short(text)}” is neither."
            ),
        };

    private protected override Result<Filled> Fill(OptionalFillIn fillIn, string meant, FillingWork work)
    {
        ImmutableArray<string> there = [.. fillIn.ElementIds.Where(id => work.Project.Find(id) is not null)];
        return meant != Without || there.IsEmpty
            ? new Filled(work.Project)
            : Removal.Of(work.Project, there, work.Context).Then(left => (Result<Filled>)new Filled(left, "left out"));
    }
}
