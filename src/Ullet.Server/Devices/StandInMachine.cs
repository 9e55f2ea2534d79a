using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;
using Ullet.Server.Scenes;

namespace Ullet.Server.Devices;

/// <summary>What the machine did with a stitch file, step by step; from the file alone.</summary>
public sealed record Rehearsal(
    string Title,
    double FieldWidth,
    double FieldHeight,
    ImmutableArray<string> Cautions,
    ImmutableArray<ProgramThread> Threads,
    ImmutableArray<RehearsedStep> Steps,
    int StitchCount,
    int StopCount,
    double Seconds,
    ImmutableArray<ThreadUse> ThreadUse
);

/// <summary>One step as the machine ran it.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Kind">Stitch or hand.</param>
/// <param name="OwnerName">The element.</param>
/// <param name="Role">"cover", "lay".</param>
/// <param name="Text">What hands do.</param>
/// <param name="Warning">What must not go wrong.</param>
/// <param name="Check">What to check before pressing start.</param>
/// <param name="Note">The user's own line.</param>
/// <param name="HoopOff">True when the hoop comes off for it.</param>
/// <param name="Thread">The thread's number, 0 for a hand step.</param>
/// <param name="Block">The block as the machine counts it, 0 for a hand step.</param>
/// <param name="StopAfter">True when the machine stops after it.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="TrimCount">Trims.</param>
/// <param name="Runs">Needle points between trims, flat x, y, x, y, mm.</param>
/// <param name="Layers">What changes in the hoop.</param>
public sealed record RehearsedStep(
    int Number,
    StepKind Kind,
    string OwnerName,
    string Role,
    string? Text,
    string? Warning,
    string? Check,
    string? Note,
    bool HoopOff,
    int Thread,
    int Block,
    bool StopAfter,
    double Seconds,
    int StitchCount,
    int TrimCount,
    ImmutableArray<ImmutableArray<double>> Runs,
    ImmutableArray<RehearsedLayer> Layers
);

/// <summary>A layer that is laid (with its cloth), or cut back, folded or taken away (without one).</summary>
/// <param name="LayerId">Names the layer in the file.</param>
/// <param name="Name">Its name; null when it lies there already.</param>
/// <param name="Cloth">Its cloth; null when it lies there already.</param>
/// <param name="FaceUp">Which face; null when it stays as it was.</param>
/// <param name="Path">The area it takes from here on, SVG path data, mm; empty when it is taken away.</param>
public sealed record RehearsedLayer(string LayerId, string? Name, Cloth? Cloth, bool? FaceUp, string Path);

/// <summary>Top thread that goes through the needle, m, with what stitches take for their depth.</summary>
public sealed record ThreadUse(int Thread, string Name, double Metres);

/// <summary>The stand-in for an embroidery machine: it knows a stitch file and nothing else.</summary>
public static class StandInMachine
{
    /// <summary>Thread that a needle point takes beside the way on the cloth, mm: down and up again.</summary>
    private const double DepthPerStitch = 1.6;

    public static Rehearsal Run(StitchProgram file)
    {
        var seconds = StepTimes.Of(file);
        var behind = file
            .Steps.OfType<ProgramHands>()
            .SelectMany(hands => hands.Changes)
            .OfType<LayerLaid>()
            .Where(laid => laid.IsBeneath)
            .Select(laid => laid.LayerId)
            .ToHashSet(StringComparer.Ordinal);
        var metres = new double[file.Threads.Length + 1];
        var steps = ImmutableArray.CreateBuilder<RehearsedStep>();
        LayerLaid? beneath = null;
        for (var i = 0; i < file.Steps.Length; i++)
        {
            Budget.Spend();
            beneath = Beneath(file.Steps[i]) ?? beneath;
            steps.Add(
                file.Steps[i] switch
                {
                    ProgramStitches sewn => Sew(i + 1, sewn, seconds[i], metres),
                    ProgramHands hands => Wait(i + 1, hands, seconds[i], beneath, behind),
                    _ => throw new InvalidOperationException("Unknown kind of step."),
                }
            );
        }
        return new Rehearsal(
            file.Title,
            file.FieldWidth,
            file.FieldHeight,
            file.Cautions,
            file.Threads,
            steps.ToImmutable(),
            file.StitchCount,
            file.StopCount,
            seconds.Sum(),
            [.. file.Threads.Select(thread => new ThreadUse(thread.Number, thread.Name, metres[thread.Number]))]
        );
    }

    /// <summary>The cloth that a step lays beneath, the last one; null for none.</summary>
    private static LayerLaid? Beneath(ProgramStep step) =>
        (step as ProgramHands)?.Changes.OfType<LayerLaid>().LastOrDefault(laid => laid.IsBeneath);

    private static RehearsedStep Sew(int number, ProgramStitches step, double seconds, double[] metres)
    {
        var runs = ImmutableArray.CreateBuilder<ImmutableArray<double>>();
        var run = ImmutableArray.CreateBuilder<double>();
        Point? last = null;
        foreach (var command in step.Commands)
        {
            Budget.Spend();
            if (command.Kind != NeedleKind.Stitch)
            {
                if (run.Count > 2)
                {
                    runs.Add(run.ToImmutable());
                }
                run.Clear();
                last = null;
                continue;
            }
            if (last is { } from)
            {
                metres[step.Thread] += (from.DistanceTo(command.At) + DepthPerStitch) / 1000;
            }
            last = command.At;
            run.Add(command.At.X);
            run.Add(command.At.Y);
        }
        if (run.Count > 2)
        {
            runs.Add(run.ToImmutable());
        }
        return new RehearsedStep(
            number,
            StepKind.Stitch,
            step.OwnerName,
            step.Role,
            null,
            null,
            null,
            null,
            false,
            step.Thread,
            step.Block,
            step.StopAfter,
            seconds,
            step.StitchCount,
            step.TrimCount,
            runs.ToImmutable(),
            []
        );
    }

    /// <param name="number">From 1.</param>
    /// <param name="step">The file's step.</param>
    /// <param name="seconds">How long it takes.</param>
    /// <param name="beneath">The cloth that lies under the hooped one; a window shows it.</param>
    /// <param name="behind">The layers that lie on the back; they are not seen from above.</param>
    private static RehearsedStep Wait(
        int number,
        ProgramHands step,
        double seconds,
        LayerLaid? beneath,
        HashSet<string> behind
    ) =>
        new(
            number,
            StepKind.Hand,
            step.OwnerName,
            HandTable.Of(step.Kind).Name,
            step.Text,
            step.Warning,
            step.Check,
            step.Note,
            step.HoopOff,
            0,
            0,
            false,
            seconds,
            0,
            0,
            [],
            [
                .. step
                    .Changes.Where(change => IsSeen(change) && !behind.Contains(change.LayerId))
                    .Select(change =>
                        change switch
                        {
                            LayerOpened opened => new RehearsedLayer(
                                beneath?.LayerId ?? opened.LayerId,
                                beneath?.Name,
                                beneath?.Cloth,
                                beneath?.FaceUp,
                                PathText.Of(opened.Area)
                            ),
                            LayerLaid laid => new RehearsedLayer(
                                laid.LayerId,
                                laid.Name,
                                laid.Cloth,
                                laid.FaceUp,
                                PathText.Of(laid.Area)
                            ),
                            LayerFolded folded => new RehearsedLayer(
                                folded.LayerId,
                                null,
                                null,
                                folded.FaceUp,
                                PathText.Of(folded.Area)
                            ),
                            LayerRemoved removed => new RehearsedLayer(removed.LayerId, null, null, null, ""),
                            LayerTrimmed trimmed => new RehearsedLayer(
                                trimmed.LayerId,
                                null,
                                null,
                                null,
                                PathText.Of(trimmed.Area)
                            ),
                            _ => throw new InvalidOperationException("Unknown change of layers."),
                        }
                    ),
            ]
        );

    /// <summary>True for what changes the picture from above: not for what is laid behind, a slot under other layers, or a zip that is
    /// opened.</summary>
    private static bool IsSeen(LayerChange change) =>
        change
            is not (LayerLaid { IsBeneath: true } or LayerOpened { LayerId: not HandWork.GroundLayer } or LayerParted or WorkCutOut);
}
