using Ullet.Core.Projects;

namespace Ullet.Core.Layers;

/// <summary>What kinds of hand steps are called.</summary>
public static class HandWords
{
    public static string Of(HandKind kind) =>
        kind switch
        {
            HandKind.HoopUp => "hoop up",
            HandKind.Lay => "lay",
            HandKind.Trim => "trim",
            HandKind.CutOut => "cut out",
            HandKind.Fold => "fold",
            HandKind.LayBehind => "lay behind",
            HandKind.OpenZip => "open the zip",
            HandKind.CloseZip => "close the zip",
            HandKind.Insert => "insert",
            HandKind.Tape => "tape",
            HandKind.Remove => "remove",
            HandKind.Press => "press",
            HandKind.Turn => "turn",
            HandKind.ChangeBobbin => "change the bobbin",
            HandKind.FreeText => "by hand",
            _ => "finish",
        };
}
