using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Opened;

/// <summary>How the blocks of a design look, and what they are guessed to be for.</summary>
public static class DesignRoles
{
    /// <summary>In designs with more commands nobody asks what the blocks cover: only how they look.</summary>
    private const int MostRead = 120_000;

    /// <summary>How sure a role is that nobody asked about.</summary>
    private const double Unasked = 0.2;

    /// <summary>Block by block, in the order of the file.</summary>
    public static ImmutableArray<(OpenedLook Look, GuessedRole Guess)> Of(ImmutableArray<DesignBlock> blocks)
    {
        if (blocks.Sum(block => block.Points.Length) > MostRead)
        {
            return
            [
                .. blocks.Select(block =>
                    (BlockReader.LookOf(block.Points), new GuessedRole(OpenedRole.Decoration, Unasked))
                ),
            ];
        }
        var readings = blocks.Select(block => BlockReader.Read(block.Points)).ToImmutableArray();
        var roles = RoleGuess.Of(readings, [.. blocks.Select(block => block.StopAfter)]);
        return [.. readings.Zip(roles, (reading, role) => (reading.Look, role))];
    }
}
