using System.Text.Json;
using Ullet.Core.Orders;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Orders;

/// <summary>What orders say, as it is stored: an object of texts by the fill-ins' ids; empty ones are left out.</summary>
internal static class OrderJson
{
    internal static string Write(OrderValues values) =>
        JsonSerializer.Serialize(
            new SortedDictionary<string, string>(
                values
                    .All.Where(value => value.Text.Length > 0)
                    .DistinctBy(value => value.FillInId)
                    .ToDictionary(value => value.FillInId, value => value.Text, StringComparer.Ordinal),
                StringComparer.Ordinal
            ),
            ProjectJson.Options
        );

    internal static OrderValues Read(string json) =>
        new([
            .. (JsonSerializer.Deserialize<Dictionary<string, string>>(json, ProjectJson.Options) ?? []).Select(
                pair => new OrderValue(pair.Key, pair.Value)
            ),
        ]);

    internal static Order Of(OrderRow row) =>
        new()
        {
            Id = row.Id,
            Number = row.Number,
            Reference = row.Reference,
            Quantity = row.Quantity,
            Values = Read(row.Values),
            WantedBy = row.WantedBy,
            Note = row.Note,
            State = row.State,
        };
}
