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

    /// <summary>True to hoop the stabiliser alone, false to hoop a ground over it again; null for as it is.</summary>
    public bool? StabiliserAlone { get; init; }

    /// <summary>What keeps the ground on the stabiliser.</summary>
    public GroundHold? GroundHold { get; init; }

    /// <summary>The presser foot reaches so far about the needle, mm.</summary>
    public double? FootRadius { get; init; }

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
        if (StabiliserAlone == true && hooping.StabiliserClothId is null)
        {
            return new Refusal(
                "hooping-empty",
                "stabiliserAlone",
                "There is no stabiliser in this hooping; choose one first."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        if (FootRadius is { } radius)
        {
            var (least, most) = StitchRanges.FootRadius;
            if (
                Limits.CheckRange(radius, least, most, "mm", "The presser foot's radius", "footRadius") is
                { } wrongRadius
            )
            {
                return wrongRadius;
            }
        }
        if (new[] { LineThreadId, CoverThreadId }.FirstOrDefault(id => Missing(id, project.FindThread)) is { } thread)
        {
            return EditRefusals.NoThread(thread);
        }
        var set = project with
        {
            Hooping = hooping with
            {
                GroundHold = GroundHold ?? hooping.GroundHold,
                FootRadius = FootRadius ?? hooping.FootRadius,
                GroundClothId =
                    StabiliserAlone == true
                        ? null
                        : GroundClothId
                            ?? hooping.GroundClothId
                            ?? (StabiliserAlone == false ? UsualGround(project) : null),
                StabiliserClothId = StabiliserClothId ?? hooping.StabiliserClothId,
                LineThreadId = LineThreadId ?? hooping.LineThreadId,
                CoverThreadId = CoverThreadId ?? hooping.CoverThreadId,
            },
        };
        return GroundHold == Projects.GroundHold.Basted && hooping.GroundHold != Projects.GroundHold.Basted
            ? GroundBasting.Added(set)
            : set;
    }

    /// <summary>The first cloth that can be a ground.</summary>
    private static string? UsualGround(Project project) =>
        project.Cloths.FirstOrDefault(cloth => cloth.IsSurface())?.Id;

    private static bool Missing(string? id, Func<string?, object?> find) => id is not null && find(id) is null;
}
