using Ullet.Core.Layers;

namespace Ullet.Server.Scenes;

/// <summary>What kinds of hand steps are called.</summary>
internal static class HandWords
{
    internal static string Of(HandStepKind kind) =>
        kind switch
        {
            HandStepKind.HoopUp => "hoop up",
            HandStepKind.Lay => "lay",
            HandStepKind.Trim => "trim",
            HandStepKind.CutOut => "cut out",
            _ => "finish",
        };
}
