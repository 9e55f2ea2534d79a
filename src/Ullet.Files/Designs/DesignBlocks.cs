using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.Designs;

/// <summary>Gathers the blocks of a design while its file is read.</summary>
internal sealed class DesignBlocks
{
    /// <summary>Colours for threads of which a file says none.</summary>
    private static readonly string[] Colours =
    [
        "#3b4ba3",
        "#1f7a6d",
        "#b3343a",
        "#d98a00",
        "#6b5b95",
        "#4a5868",
        "#7a8b3a",
        "#a0522d",
    ];

    private readonly ImmutableArray<DesignBlock>.Builder _blocks = ImmutableArray.CreateBuilder<DesignBlock>();
    private readonly ImmutableArray<OpenedPoint>.Builder _points = ImmutableArray.CreateBuilder<OpenedPoint>();
    private readonly List<(string Key, string Name)> _threads = [];
    private string? _open;
    private int _thread;
    private Point _at;
    private int _stitches;
    private int _stitchesBefore;

    /// <summary>How many needle points there are so far.</summary>
    internal int Stitches => _stitches;

    /// <summary>True once the block that is open has a needle point.</summary>
    private bool IsSewn => _stitches > _stitchesBefore;

    /// <summary>Goes on in a block; another key begins another one.</summary>
    internal void Go(string key, string thread)
    {
        if (_open == key)
        {
            return;
        }
        Close(stops: false);
        _open = key;
        _thread = _threads.FindIndex(known => known.Key == thread);
        if (_thread < 0)
        {
            _thread = _threads.Count;
            _threads.Add((thread, thread.Length == 0 ? "thread" : $"thread {thread}"));
        }
    }

    /// <summary>A place that the needle goes to; false where it lies too far off.</summary>
    internal bool Put(OpenedMove move, Point at)
    {
        if (Math.Max(Math.Abs(at.X), Math.Abs(at.Y)) > NeedlePack.Farthest)
        {
            return false;
        }
        _at = at.Rounded(NeedlePack.Grid);
        _points.Add(new OpenedPoint(move, _at));
        _stitches += move == OpenedMove.Stitch ? 1 : 0;
        return true;
    }

    internal void Trim()
    {
        if (_points.Count > 0 && _points[^1].Move != OpenedMove.Trim)
        {
            _points.Add(new OpenedPoint(OpenedMove.Trim, _at));
        }
    }

    internal void Stop()
    {
        if (!IsSewn)
        {
            // Between two blocks, also where the next one was moved to already.
            if (_blocks.Count > 0)
            {
                _blocks[^1] = _blocks[^1] with { StopAfter = true };
            }
            return;
        }
        Close(stops: true);
        _open = null;
    }

    /// <summary>The design, or that there is none.</summary>
    internal Result<StitchDesign> Design(string name)
    {
        Close(stops: false);
        if (_blocks.Count > 0)
        {
            // After the last block nothing more is sewn: nobody has to stop for it.
            _blocks[^1] = _blocks[^1] with
            {
                StopAfter = false,
            };
        }
        return _blocks.Count == 0
            ? new Refusal("stitches-none", "file", "There is no stitch in this file.")
            : new StitchDesign(
                name,
                _blocks.ToImmutable(),
                [
                    .. _threads.Select(
                        (thread, i) =>
                            new MachineThread
                            {
                                Id = $"t{i + 1}",
                                Name = thread.Name.Length > 60 ? thread.Name[..60] : thread.Name,
                                Colour = Colours[i % Colours.Length],
                            }
                    ),
                ]
            );
    }

    private void Close(bool stops)
    {
        if (IsSewn)
        {
            _blocks.Add(new DesignBlock(_points.ToImmutable(), _thread) { StopAfter = stops });
        }
        _points.Clear();
        _stitchesBefore = _stitches;
    }
}
