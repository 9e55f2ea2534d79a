using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does every needle point lie in the sewing field? Judged by the stitches, cover included, not by the outline.</summary>
internal sealed class OutsideFieldCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var (program, project) = (input.Program, input.Project);
        var field = Box.Centred(program.FieldWidth, program.FieldHeight);
        var all = program.Steps.OfType<ProgramStitches>().SelectMany(step => step.Commands).Select(c => c.At).ToList();
        var design = Box.Of(all);
        if (design.IsEmpty || field.Contains(design))
        {
            yield break;
        }
        var worst = all.MaxBy(p => Math.Max(Math.Abs(p.X) - field.MaxX, Math.Abs(p.Y) - field.MaxY));
        var over = Math.Max(Math.Abs(worst.X) - field.MaxX, Math.Abs(worst.Y) - field.MaxY);
        var fits = design.Width <= field.Width && design.Height <= field.Height;
        var hoop = Hoop.SmallestFor(design, hoop => hoop != project.Hooping.Hoop.Turned());
        var mends = ImmutableArray.CreateBuilder<Mend>();
        if (fits)
        {
            mends.Add(
                new MoveMend(Shift(design.MinX, design.MaxX, field.MaxX), Shift(design.MinY, design.MaxY, field.MaxY))
            );
        }
        if (project.Hooping.Hoop.Turned().Holds(design))
        {
            mends.Add(new TurnHoopMend(project.Hooping.Hoop.Turned()));
        }
        if (hoop is not null)
        {
            mends.Add(new UseHoopMend(hoop));
        }
        if (!fits && project.Elements.All(element => element is { PatternPart: null, IsLocked: false }))
        {
            mends.Add(new FitFieldMend());
        }
        yield return new Finding(
            "outside-field",
            FindingLevel.Stop,
            null,
            worst,
            $"The stitching leaves the sewing field by {Over(over)}: with its covers the design is "
                + $"{LengthText.Mm(design.Width)} wide and {LengthText.Mm(design.Height)} high, the field "
                + $"{program.FieldWidth:0.#} × {program.FieldHeight:0.#} mm."
        )
        {
            OtherMends = mends.ToImmutable(),
        };
    }

    /// <summary>How far over, mm; what is less than a tenth is said as such.</summary>
    private static string Over(double mm) => mm < 0.05 ? "less than 0.1 mm" : LengthText.Mm(mm);

    private static double Shift(double least, double most, double limit) =>
        least < -limit ? Math.Ceiling((-limit - least) * 10) / 10
        : most > limit ? Math.Floor((limit - most) * 10) / 10
        : 0;
}
