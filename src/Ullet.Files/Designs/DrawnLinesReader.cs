using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Files.Drawings;

namespace Ullet.Files.Designs;

/// <summary>Takes the lines of a drawing for running stitches: one block for each colour or layer that the file names.</summary>
internal static class DrawnLinesReader
{
    internal static Result<StitchDesign> Read(ReadOnlyMemory<byte> file, string name, OpenedReading reading) =>
        DrawingFiles.Read(file).Then(drawing => Stepped(drawing, name, reading));

    private static Result<StitchDesign> Stepped(Drawing drawing, string name, OpenedReading reading)
    {
        var scale = reading.MmPerUnit ?? drawing.MmPerUnit ?? Drawing.UsualMmPerUnit;
        var up = reading.IsYUp ?? false ? -1 : 1;
        var map = Affine.Scale(scale, scale * up);
        var blocks = new DesignBlocks();
        foreach (var path in drawing.Paths)
        {
            Budget.Spend();
            var key = path.Name ?? path.Fill ?? "";
            blocks.Go(key, key);
            foreach (var contour in path.Closed)
            {
                var ring = contour.Transform(map).Flatten();
                if (ring.Points.Length > 2 && !Put(blocks, RunStitch.Round(ring, StitchDefaults.RunLength)))
                {
                    return TooFar;
                }
            }
            foreach (var line in path.Open)
            {
                if (!Put(blocks, RunStitch.Along(line.Transform(map).Flatten(), StitchDefaults.RunLength)))
                {
                    return TooFar;
                }
            }
        }
        return blocks
            .Design(name)
            .Then(design =>
                (Result<StitchDesign>)(
                    design with
                    {
                        LeftOut = drawing.LeftOut,
                        SaysUnit = drawing.MmPerUnit is not null,
                        SaysAxes = true,
                        MmPerUnit = scale,
                        IsYUp = up < 0,
                    }
                )
            );
    }

    private static bool Put(DesignBlocks blocks, IReadOnlyList<Point> points)
    {
        if (points.Count < 2)
        {
            return true;
        }
        if (!blocks.Put(OpenedMove.Jump, points[0]))
        {
            return false;
        }
        foreach (var at in points)
        {
            Budget.Spend();
            if (!blocks.Put(OpenedMove.Stitch, at))
            {
                return false;
            }
        }
        blocks.Trim();
        return true;
    }

    private static readonly Refusal TooFar = new(
        "stitches-too-large",
        "file",
        $"A line of this drawing lies more than {NeedlePack.Farthest / 1000:0} m from its origin; is the unit right?"
    );
}
