using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

/// <summary>The kinds of element that version 0.6 told apart: a form and a making seen as one.</summary>
internal static class ElementKinds
{
    /// <summary>The kind of an element; a construction shape's is that of what it was before.</summary>
    internal static ElementKind Of(Element element)
    {
        if (element.FormedAs<TextForm>() is not null)
        {
            return ElementKind.Lettering;
        }
        var making = element.LastMaking;
        return making is ZoneMaking ? ElementKind.Zone
            : making.FollowsLines ? ElementKind.Line
            : ElementKind.Piece;
    }
}
