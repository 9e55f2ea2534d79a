using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>A drawing out of a few.</summary>
internal sealed class DrawingFilling : FillInKind<DrawingFillIn>
{
    public override string Kind => "drawing";

    public override string Name => "Drawing";

    private protected override ImmutableArray<string> Options(DrawingFillIn fillIn, Project project) =>
        [.. fillIn.Options.Select(option => option.Name)];

    private protected override Result<string> Read(DrawingFillIn fillIn, string text, Project project) =>
        Among(fillIn.Label, text.Trim(), Options(fillIn, project));

    private protected override Result<Filled> Fill(DrawingFillIn fillIn, string meant, FillingWork work)
    {
        var option = fillIn.Options.FirstOrDefault(own => own.Name == meant);
        ImmutableArray<string> standing = [.. fillIn.ElementIds.Where(id => work.Project.Find(id) is not null)];
        if (option is null || standing.IsEmpty || option.Elements.Select(element => element.Id).SequenceEqual(standing))
        {
            return new Filled(work.Project);
        }
        var at = work.Project.Elements.TakeWhile(element => element.Id != standing[0]).Count();
        var beneath = work.Project.Elements.Take(at).Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        return Removal
            .Of(work.Project, standing, work.Context)
            .Then(left =>
            {
                var place = left.Elements.TakeWhile(element => beneath.Contains(element.Id)).Count();
                return (Result<Filled>)
                    new Filled(left with { Elements = left.Elements.InsertRange(place, option.Elements) });
            });
    }
}

/// <summary>A motif of the project's pattern: the pattern places it.</summary>
internal sealed class MotifFilling : FillInKind<MotifFillIn>
{
    public override string Kind => "motif";

    public override string Name => "Motif";

    private protected override ImmutableArray<string> Options(MotifFillIn fillIn, Project project) => fillIn.Options;

    private protected override Result<string> Read(MotifFillIn fillIn, string text, Project project) =>
        Among(fillIn.Label, text.Trim(), fillIn.Options);

    private protected override Result<Filled> Fill(MotifFillIn fillIn, string meant, FillingWork work) =>
        new Filled(work.Project);
}
