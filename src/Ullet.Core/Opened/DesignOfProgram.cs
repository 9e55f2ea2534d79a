using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Opened;

/// <summary>A stitch list as a design: blocks, and hands with their layers.</summary>
public static class DesignOfProgram
{
    /// <summary>The design of a program that was read from a stitch list.</summary>
    public static StitchDesign Of(StitchProgram program)
    {
        var cloths = new Dictionary<string, Cloth>(StringComparer.Ordinal);
        var blocks = ImmutableArray.CreateBuilder<DesignBlock>();
        var waiting = ImmutableArray.CreateBuilder<OpenedHands>();
        Cloth? ground = null;
        var isHooped = false;
        for (var i = 0; i < program.Steps.Length; i++)
        {
            Budget.Spend();
            if (program.Steps[i] is ProgramHands hands)
            {
                if (hands.Kind == HandKind.HoopUp && !isHooped)
                {
                    ground = hands
                        .Changes.OfType<LayerLaid>()
                        .FirstOrDefault(laid => laid.LayerId == HandWork.GroundLayer)
                        ?.Cloth;
                    isHooped = true;
                    var others = hands.Changes.RemoveAll(change => HandWork.IsHooped(change.LayerId));
                    if (others.IsEmpty)
                    {
                        continue;
                    }
                    // What is hooped together with the ground is laid on it.
                    hands = hands with
                    {
                        Kind = HandKind.Lay,
                        Changes = others,
                    };
                }
                if (hands.Kind == HandKind.Finish && hands.Changes.IsEmpty && i == program.Steps.Length - 1)
                {
                    continue;
                }
                waiting.Add(Hands(hands, cloths));
            }
            else if (program.Steps[i] is ProgramStitches { Commands.Length: > 0 } sewn)
            {
                blocks.Add(
                    new DesignBlock(Points(sewn.Commands), sewn.Thread - 1)
                    {
                        Name = sewn.OwnerName,
                        Words = sewn.Role,
                        Before = waiting.DrainToImmutable(),
                        StopAfter = sewn.StopAfter,
                    }
                );
            }
        }
        if (blocks.Count > 0 && waiting.Count == 0)
        {
            // After the last block nothing more is sewn: nobody has to stop for it.
            blocks[^1] = blocks[^1] with
            {
                StopAfter = false,
            };
        }
        return new StitchDesign(
            program.Title,
            blocks.ToImmutable(),
            [
                .. program.Threads.Select(thread => new MachineThread
                {
                    Id = $"t{thread.Number}",
                    Name = thread.Name,
                    Colour = thread.Colour,
                    Kind = thread.Kind,
                }),
            ]
        )
        {
            Cloths = [.. cloths.Values],
            Ground = ground,
            Field = (program.FieldWidth, program.FieldHeight),
            After = waiting.DrainToImmutable(),
            SaysUnit = true,
            SaysAxes = true,
        };
    }

    /// <summary>What a machine is told, as a file would have it: moves and places alone.</summary>
    public static ImmutableArray<OpenedPoint> Points(ImmutableArray<NeedleCommand> commands) =>
        [.. commands.Select(Point)];

    private static OpenedPoint Point(NeedleCommand command) =>
        new(
            command.Kind switch
            {
                NeedleKind.Stitch => OpenedMove.Stitch,
                NeedleKind.Jump => OpenedMove.Jump,
                NeedleKind.Trim => OpenedMove.Trim,
            },
            command.At
        );

    private static OpenedHands Hands(ProgramHands hands, Dictionary<string, Cloth> cloths) =>
        new(hands.Kind, hands.Note is { Length: > 0 } note ? $"{hands.Text} {note}" : hands.Text)
        {
            Warning = hands.Warning,
            Check = hands.Check,
            HoopOff = hands.HoopOff,
            Changes = [.. hands.Changes.Select(change => Change(change, cloths))],
        };

    private static OpenedChange Change(LayerChange change, Dictionary<string, Cloth> cloths)
    {
        switch (change)
        {
            case LayerLaid laid:
                cloths[laid.Cloth.Id] = laid.Cloth;
                return new OpenedLaid(
                    laid.LayerId,
                    laid.Name,
                    laid.Cloth.Id,
                    laid.FaceUp,
                    laid.IsBeneath,
                    laid.Role,
                    Areas(laid.Area)
                )
                {
                    Slider = laid.Slider,
                };
            case LayerTrimmed trimmed:
                return new OpenedCutBack(trimmed.LayerId, Areas(trimmed.Area));
            case LayerOpened opened:
                return new OpenedWindow(opened.LayerId, Areas(opened.Area));
            case LayerFolded folded:
                return new OpenedFold(folded.LayerId, folded.FaceUp, Areas(folded.Area));
            case LayerParted parted:
                return new OpenedParted(parted.LayerId, parted.From, parted.To);
            case LayerRemoved removed:
                return new OpenedRemoved(removed.LayerId);
            case WorkCutOut cutOut:
                return new OpenedCutOut(Areas(cutOut.Area));
            default:
                throw new InvalidOperationException($"{change.GetType().Name} is no change of layers.");
        }
    }

    private static ImmutableArray<OpenedArea> Areas(ImmutableArray<Region> regions) =>
        [.. regions.Select(region => new OpenedArea([.. region.Rings.Select(Places)]))];

    private static ImmutableArray<double> Places(Ring ring) =>
        [.. ring.Points.SelectMany(point => new[] { Math.Round(point.X, 2), Math.Round(point.Y, 2) })];
}
