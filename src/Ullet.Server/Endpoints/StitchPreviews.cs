using System.Collections.Immutable;
using System.Text;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Files.Designs;
using Ullet.Server.Scenes;

namespace Ullet.Server.Endpoints;

/// <summary>What a stitch file would be opened as; lengths in mm.</summary>
/// <param name="Token">The kept file's hash.</param>
/// <param name="Name">The file's name without its ending.</param>
/// <param name="Format">What it is: a stitch list, a table, needle paths, drawn lines.</param>
/// <param name="Width">Of all needle points.</param>
/// <param name="Height">Of all needle points.</param>
/// <param name="Stitches">How many needle points.</param>
/// <param name="Stops">How often the machine stops.</param>
/// <param name="Blocks">Block by block.</param>
/// <param name="SaysUnit">True where the file says how long its units are.</param>
/// <param name="MmPerUnit">How long its units were taken to be.</param>
/// <param name="SaysAxes">True where it says which way its axes go.</param>
/// <param name="IsYUp">True where its y axis was taken to grow upwards.</param>
/// <param name="LeftOut">What could not be read, a sentence each.</param>
/// <param name="Table">For a table its columns; null for anything else.</param>
/// <param name="Unread">Why it can't be read as it is asked to be, in a sentence; null where it can.</param>
public sealed record StitchPreview(
    string Token,
    string Name,
    DesignKind Format,
    double Width,
    double Height,
    int Stitches,
    int Stops,
    ImmutableArray<PreviewBlock> Blocks,
    bool SaysUnit,
    double MmPerUnit,
    bool SaysAxes,
    bool IsYUp,
    ImmutableArray<string> LeftOut,
    TableColumns? Table,
    string? Unread
);

/// <summary>A block before it is opened.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Name">What the file calls it; empty for nothing.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Words">The same in words.</param>
/// <param name="IsUnsure">True where that was guessed and may be wrong.</param>
/// <param name="Look">How it looks.</param>
/// <param name="LookWords">The same in words.</param>
/// <param name="Thread">Its thread's name.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="Stitches">How many needle points.</param>
/// <param name="StopAfter">True where the machine stops after it.</param>
/// <param name="Hands">What hands do before it, a sentence each.</param>
/// <param name="Line">Its needle points as float32 pairs, a pair of NaN where the thread is cut; base 64.</param>
public sealed record PreviewBlock(
    int Number,
    string Name,
    OpenedRole Role,
    string Words,
    bool IsUnsure,
    OpenedLook Look,
    string LookWords,
    string Thread,
    string Colour,
    int Stitches,
    bool StopAfter,
    ImmutableArray<string> Hands,
    string Line
);

/// <summary>The columns of a table of stitches.</summary>
/// <param name="Names">Its first row.</param>
/// <param name="Rows">Some rows below.</param>
/// <param name="Wanted">What columns may hold, in the order of <paramref name="Chosen"/>.</param>
/// <param name="Chosen">Which column holds what, from 0; -1 for none.</param>
public sealed record TableColumns(
    ImmutableArray<string> Names,
    ImmutableArray<ImmutableArray<string>> Rows,
    ImmutableArray<string> Wanted,
    ImmutableArray<int> Chosen
);

/// <summary>Stitch files as previews.</summary>
internal static class StitchPreviews
{
    /// <summary>What a file would be opened as, or why it never can be.</summary>
    internal static Result<StitchPreview> Of(string token, string name, byte[] bytes, OpenedReading reading)
    {
        if (StitchDesignFiles.KindOf(bytes) is not { } kind)
        {
            return StitchDesignFiles.Read(bytes, name, reading).Refusal!;
        }
        var table = kind == DesignKind.Table ? Columns(bytes, reading) : null;
        var read = StitchDesignFiles.Read(bytes, name, reading);
        if (!read.IsOk)
        {
            // A table whose columns nobody has named yet is asked about, not refused.
            return table is not null && read.Refusal!.Code == "stitch-columns"
                ? new StitchPreview(
                    token,
                    name,
                    kind,
                    0,
                    0,
                    0,
                    0,
                    [],
                    false,
                    1,
                    false,
                    false,
                    [],
                    table,
                    read.Refusal.Words
                )
                : read.Refusal!;
        }
        return Of(token, name, kind, read.Value, table);
    }

    /// <summary>What a file that was read already would be opened as.</summary>
    internal static Result<StitchPreview> OfRead(
        string token,
        byte[] bytes,
        StitchDesign design,
        OpenedReading reading
    ) =>
        StitchDesignFiles.KindOf(bytes) is { } kind
            ? Of(token, design.Name, kind, design, kind == DesignKind.Table ? Columns(bytes, reading) : null)
            : throw new ArgumentException("A design was read from bytes that are none.", nameof(bytes));

    private static Result<StitchPreview> Of(
        string token,
        string name,
        DesignKind kind,
        StitchDesign design,
        TableColumns? table
    )
    {
        if (Core.Edits.OpenStitches.Check(design) is { } no)
        {
            return no;
        }
        var (box, points) = (design.Bounds(), design.Blocks.Sum(block => block.StitchCount));
        var roles = DesignRoles.Of(design.Blocks);
        return new StitchPreview(
            token,
            name,
            kind,
            Math.Round(box.Width, 2),
            Math.Round(box.Height, 2),
            points,
            design.Blocks.Count(block => block.StopAfter),
            [
                .. design.Blocks.Select(
                    (block, i) => Block(block, i, design.Threads[block.Thread], roles[i].Look, roles[i].Guess)
                ),
            ],
            design.SaysUnit,
            design.MmPerUnit,
            design.SaysAxes,
            design.IsYUp,
            design.LeftOut,
            table,
            null
        );
    }

    private static PreviewBlock Block(
        DesignBlock block,
        int i,
        MachineThread thread,
        OpenedLook look,
        GuessedRole guess
    )
    {
        var told = RoleWords.Of(block.Words);
        var role = told ?? guess.Role;
        return new PreviewBlock(
            i + 1,
            block.Name ?? "",
            role,
            block.Words is { Length: > 0 } words && told is not null ? words : OpenedRoleTable.Of(role).Words,
            told is null && guess.IsUnsure,
            look,
            OpenedLookTable.Of(look).Words,
            thread.Name,
            thread.Colour,
            block.StitchCount,
            block.StopAfter,
            [.. block.Before.Select(hands => hands.Text)],
            Convert.ToBase64String(StitchBytes.Of(block.Points))
        );
    }

    private static TableColumns Columns(byte[] bytes, OpenedReading reading)
    {
        var (names, rows) = TableDesignReader.Head(Encoding.UTF8.GetString(bytes).TrimStart('\uFEFF'));
        return new TableColumns(
            names,
            rows,
            TableDesignReader.Columns,
            reading.Columns ?? TableDesignReader.Guessed(names)
        );
    }
}
