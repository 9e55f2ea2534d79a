using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes the hoop, what is hooped, or the threads that stages take by themselves; what is null stays.</summary>
public sealed record SetHooping : Edit
{
    /// <summary>Sewing field of the new hoop, mm.</summary>
    public double? FieldWidth { get; init; }

    /// <summary>Sewing field of the new hoop, mm.</summary>
    public double? FieldHeight { get; init; }

    public string? GroundClothId { get; init; }

    public string? StabiliserClothId { get; init; }

    public string? LineThreadId { get; init; }

    public string? CoverThreadId { get; init; }

    public override string Label(Project before) => FieldWidth is null ? "Change the hooping" : "Change the hoop";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var hooping = project.Hooping;
        if (FieldWidth is not null || FieldHeight is not null)
        {
            var (width, height) = (FieldWidth ?? hooping.Hoop.FieldWidth, FieldHeight ?? hooping.Hoop.FieldHeight);
            var refusal =
                Limits.CheckRange(width, 40, 600, "mm", "The width of the sewing field", "fieldWidth")
                ?? Limits.CheckRange(height, 40, 600, "mm", "The height of the sewing field", "fieldHeight");
            if (refusal is not null)
            {
                return refusal;
            }
            hooping = hooping with
            {
                Hoop = Hoop.OfField(width, height) ?? new Hoop($"{width:0.#} × {height:0.#}", width, height),
            };
        }
        if (
            new[] { GroundClothId, StabiliserClothId }.FirstOrDefault(id => Missing(id, project.FindCloth)) is { } cloth
        )
        {
            return EditRefusals.NoCloth(cloth);
        }
        if (new[] { LineThreadId, CoverThreadId }.FirstOrDefault(id => Missing(id, project.FindThread)) is { } thread)
        {
            return EditRefusals.NoThread(thread);
        }
        return project with
        {
            Hooping = hooping with
            {
                GroundClothId = GroundClothId ?? hooping.GroundClothId,
                StabiliserClothId = StabiliserClothId ?? hooping.StabiliserClothId,
                LineThreadId = LineThreadId ?? hooping.LineThreadId,
                CoverThreadId = CoverThreadId ?? hooping.CoverThreadId,
            },
        };
    }

    private static bool Missing(string? id, Func<string?, object?> find) => id is not null && find(id) is null;
}
