using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>Blocks of one stitch file keep the file's order; those that were freed keep it only to blocks that they touch, and to those
/// before which hands worked.</summary>
internal sealed class OpenedRule : IOrderRule
{
    public string Name => "opened";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var files = facts
            .Units.Where(unit => unit.Opened is not null)
            .GroupBy(unit => unit.Opened!.FileId, StringComparer.Ordinal);
        foreach (var file in files)
        {
            var name = facts.Project.OpenedFiles.FirstOrDefault(known => known.Id == file.Key)?.Name ?? "its file";
            var blocks = file.OrderBy(unit => unit.Opened!.Place).ToList();
            for (var i = 0; i < blocks.Count; i++)
            {
                for (var k = i + 1; k < blocks.Count; k++)
                {
                    Budget.Spend();
                    if (!Binds(blocks, i, k))
                    {
                        continue;
                    }
                    yield return new Precedence(
                        blocks[i].Acts[^1].Step.Key,
                        blocks[k].Acts[0].Step.Key,
                        Name,
                        $"In {name}, {blocks[i].Name} is sewn before {blocks[k].Name}."
                    );
                }
            }
        }
    }

    private static bool Binds(List<SewnUnit> blocks, int first, int later)
    {
        var (one, other) = (blocks[first], blocks[later]);
        if (!one.Opened!.IsFree && !other.Opened!.IsFree)
        {
            // The next one that keeps its place: a chain is enough.
            return blocks.FindIndex(first + 1, unit => !unit.Opened!.IsFree) == later;
        }
        return one.Outline.Bounds().Overlaps(other.Outline.Bounds())
            || one.Acts.Length > 1
            || other.Acts.Length > 1
            || !one.Opened!.After.IsEmpty;
    }
}
