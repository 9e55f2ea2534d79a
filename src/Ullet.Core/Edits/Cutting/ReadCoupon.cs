using Ullet.Core.Cutting;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Turns what was read off a coupon into the tolerances of its cloth. What was not read stays as it is.</summary>
public sealed record ReadCoupon : ClothCutEdit
{
    public required CouponReading Reading { get; init; }

    public override bool IsOfTheCutter => true;

    public override string Label(Project before) => $"Read the coupon of {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        Reading.Check() is { } refusal ? refusal : cut with { Tolerances = Reading.Tolerances(cut.Tolerances) };
}
