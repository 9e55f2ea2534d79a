using System.Collections.Immutable;
using Ullet.Core.Program;

namespace Ullet.Files.StitchFiles;

/// <summary>The stitch formats that there are; every file is read back before it is handed out.</summary>
public static class StitchFormats
{
    /// <summary>The stitch list, which the other devices and the packet take.</summary>
    public static readonly IStitchFormat List = new StitchListFile();

    public static readonly ImmutableArray<IStitchFormat> All = [List, new CsvStitchFile()];

    /// <summary>The format whose files end so; null for none.</summary>
    public static IStitchFormat? Find(string ending) => All.FirstOrDefault(format => format.Ending == ending);

    /// <summary>The program as a file that comes back as it was meant.</summary>
    /// <exception cref="InvalidOperationException">When what was read back is not what was written: a fault of ours.</exception>
    public static byte[] Make(IStitchFormat format, StitchProgram program)
    {
        var file = format.Write(program);
        return format.Differs(program, file) is { } how
            ? throw new InvalidOperationException($"The {format.Name} does not come back as it was written: {how}.")
            : file;
    }
}
