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

    /// <summary>True to take the hoop that is there sideways, with its name, its middle and its margins.</summary>
    public bool TurnHoop { get; init; }

    /// <summary>What the hoop is called; null for its numbers. With the field's size only, as all that follow of the hoop.</summary>
    public string? HoopName { get; init; }

    /// <summary>Where the mark of the hoop's middle lies, mm right of the field's centre.</summary>
    public double? MiddleX { get; init; }

    /// <summary>Where the mark of the hoop's middle lies, mm below the field's centre.</summary>
    public double? MiddleY { get; init; }

    /// <summary>Room kept free at the left and right edges of the field, mm.</summary>
    public double? MarginAcross { get; init; }

    /// <summary>Room kept free at the upper and lower edges of the field, mm.</summary>
    public double? MarginDown { get; init; }

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

    /// <summary>The edit that takes a hoop with all that is known of it.</summary>
    public static SetHooping To(Hoop hoop) =>
        new()
        {
            FieldWidth = hoop.FieldWidth,
            FieldHeight = hoop.FieldHeight,
            HoopName = hoop.Name,
            MiddleX = hoop.MiddleX,
            MiddleY = hoop.MiddleY,
            MarginAcross = hoop.MarginAcross,
            MarginDown = hoop.MarginDown,
        };

    public override string Label(Project before) =>
        TurnHoop ? "Turn the hoop"
        : FieldWidth is null ? "Change the hooping"
        : "Change the hoop";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var hooping = project.Hooping;
        if (TurnHoop)
        {
            hooping = hooping with { Hoop = hooping.Hoop.Turned() };
        }
        else if (FieldWidth is not null || FieldHeight is not null)
        {
            var (width, height) = (FieldWidth ?? hooping.Hoop.FieldWidth, FieldHeight ?? hooping.Hoop.FieldHeight);
            var isSame = width == hooping.Hoop.FieldWidth && height == hooping.Hoop.FieldHeight;
            var sized = isSame ? hooping.Hoop : Hoop.Sized(width, height);
            var hoop = sized with
            {
                Name = HoopName is { } name ? PlainText.Line(name) : sized.Name,
                MiddleX = MiddleX ?? sized.MiddleX,
                MiddleY = MiddleY ?? sized.MiddleY,
                MarginAcross = MarginAcross ?? sized.MarginAcross,
                MarginDown = MarginDown ?? sized.MarginDown,
            };
            if (hoop.Check() is { } refusal)
            {
                return refusal;
            }
            hooping = hooping with { Hoop = hoop };
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
