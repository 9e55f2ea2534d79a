using Ullet.Core.Orders;
using Ullet.Server.Data;

namespace Ullet.Server.Orders;

/// <summary>A row of the book as a change keeps it.</summary>
internal sealed record KeptOrder(
    string Id,
    double Position,
    string Number,
    string Reference,
    int Quantity,
    string Values,
    string WantedBy,
    string Note,
    OrderState State,
    long? Revision,
    string? Stamp,
    string? OwnProjectId
)
{
    internal static KeptOrder Of(OrderRow row) =>
        new(
            row.Id,
            row.Position,
            row.Number,
            row.Reference,
            row.Quantity,
            row.Values,
            row.WantedBy,
            row.Note,
            row.State,
            row.Revision,
            row.Stamp,
            row.OwnProjectId
        );

    internal OrderRow Row(string projectId) =>
        new()
        {
            Id = Id,
            ProjectId = projectId,
            Position = Position,
            Number = Number,
            Reference = Reference,
            Quantity = Quantity,
            Values = Values,
            WantedBy = WantedBy,
            Note = Note,
            State = State,
            Revision = Revision,
            Stamp = Stamp,
            OwnProjectId = OwnProjectId,
        };

    /// <summary>Writes to a row what differs from how it was: what happened to it since stays.</summary>
    internal void Apply(OrderRow row, KeptOrder? was)
    {
        row.Number = was?.Number == Number ? row.Number : Number;
        row.Reference = was?.Reference == Reference ? row.Reference : Reference;
        row.Quantity = was?.Quantity == Quantity ? row.Quantity : Quantity;
        row.WantedBy = was?.WantedBy == WantedBy ? row.WantedBy : WantedBy;
        row.Note = was?.Note == Note ? row.Note : Note;
        row.State = was?.State == State ? row.State : State;
        if (was?.Values != Values)
        {
            (row.Values, row.State, row.Revision, row.Stamp) = (Values, State, Revision, Stamp);
        }
    }
}
