using System.Globalization;
using System.Text.Json;
using ZeroDrift.Core;

namespace ZeroDrift.Contract.Visits;

/// <summary>Reads the fields of one JSON object, and complains of each by its own name.</summary>
internal readonly struct FieldReader(JsonElement json, string inside = "")
{
    private string Path(string name) => inside.Length == 0 ? name : $"{inside}.{name}";

    public bool Has(string name) => json.TryGetProperty(name, out var value) && value.ValueKind is not (JsonValueKind.Null or JsonValueKind.Undefined);

    public JsonElement? Raw(string name) => Has(name) ? json.GetProperty(name) : null;

    public string? OptionalText(string name, int most = 2000)
    {
        if (Raw(name) is not { } value) return null;
        if (value.ValueKind != JsonValueKind.String) throw new BadInputException(Path(name), $"{Path(name)} must be text.");
        var text = value.GetString()!.Trim();
        if (text.Length > most) throw new BadInputException(Path(name), $"{Path(name)} is longer than {most} characters.");
        if (text.Any(c => char.IsControl(c) && c is not ('\n' or '\r' or '\t'))) throw new BadInputException(Path(name), $"{Path(name)} holds characters that do not print.");
        return text.Length == 0 ? null : text;
    }

    public string Text(string name, string what, int most = 2000) =>
        OptionalText(name, most) ?? throw new BadInputException(Path(name), $"Give {what}.");

    /// <summary>Text, or a number as it stands: figures are kept as written.</summary>
    public string? OptionalFigure(string name) => Raw(name) is { ValueKind: JsonValueKind.Number } number ? number.GetRawText() : OptionalText(name, 40);

    public string Figure(string name, string what) => OptionalFigure(name) ?? throw new BadInputException(Path(name), $"Give {what}.");

    public double? OptionalNumber(string name, double min, double max)
    {
        if (Raw(name) is not { } value) return null;
        if (value.ValueKind != JsonValueKind.Number || !value.TryGetDouble(out var number) || !double.IsFinite(number)) throw new BadInputException(Path(name), $"{Path(name)} must be a number.");
        return number >= min && number <= max ? number : throw new BadInputException(Path(name), string.Create(CultureInfo.InvariantCulture, $"{Path(name)} must be from {min} to {max}; {number} was given."));
    }

    public double Number(string name, double min, double max, string what) => OptionalNumber(name, min, max) ?? throw new BadInputException(Path(name), $"Give {what}.");

    public int? OptionalWhole(string name, int min, int max)
    {
        if (OptionalNumber(name, min, max) is not { } number) return null;
        return number == Math.Floor(number) ? (int)number : throw new BadInputException(Path(name), $"{Path(name)} must be a whole number.");
    }

    public bool? OptionalFlag(string name) => Raw(name) is not { } value ? null : value.ValueKind switch
    {
        JsonValueKind.True => true,
        JsonValueKind.False => false,
        _ => throw new BadInputException(Path(name), $"{Path(name)} must be true or false."),
    };

    /// <summary>Text, where some say it with a yes or no.</summary>
    public string? OptionalFlagOrText(string name) => Raw(name) is { ValueKind: JsonValueKind.True or JsonValueKind.False } flag ? flag.GetRawText() : OptionalText(name, 200);

    public bool Flag(string name) => OptionalFlag(name) ?? throw new BadInputException(Path(name), $"Say true or false for {Path(name)}.");

    public Guid? OptionalId(string name)
    {
        if (Raw(name) is not { } value) return null;
        return value.ValueKind == JsonValueKind.String && Guid.TryParse(value.GetString(), out var id) && id != Guid.Empty
            ? id
            : throw new BadInputException(Path(name), $"{Path(name)} must be an identifier (a UUID).");
    }

    public Guid Id(string name) => OptionalId(name) ?? throw new BadInputException(Path(name), $"Give the identifier {Path(name)}.");

    public DateOnly? OptionalDay(string name)
    {
        if (Raw(name) is not { } value) return null;
        return value.ValueKind == JsonValueKind.String && DateOnly.TryParseExact(value.GetString(), "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : throw new BadInputException(Path(name), $"{Path(name)} must be a day such as 2027-01-04.");
    }

    public DateTimeOffset Instant(string name)
    {
        if (Raw(name) is { ValueKind: JsonValueKind.String } value && DateTimeOffset.TryParse(value.GetString(), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal, out var at)) return at;
        throw new BadInputException(Path(name), $"{Path(name)} must be a time in UTC such as 2027-01-04T07:30:00Z.");
    }

    public T? OptionalWord<T>(string name) where T : struct, Enum
    {
        if (Raw(name) is not { } value) return null;
        if (value.ValueKind == JsonValueKind.String && Words<T>.All.TryGetValue(value.GetString()!, out var word)) return word;
        throw new BadInputException(Path(name), $"{Path(name)} must be one of {string.Join(", ", Words<T>.All.Keys)}.");
    }

    public T Word<T>(string name) where T : struct, Enum => OptionalWord<T>(name) ?? throw new BadInputException(Path(name), $"Give {Path(name)}: one of {string.Join(", ", Words<T>.All.Keys)}.");

    public IReadOnlyList<JsonElement> List(string name, int most)
    {
        if (Raw(name) is not { } value) return [];
        if (value.ValueKind != JsonValueKind.Array) throw new BadInputException(Path(name), $"{Path(name)} must be a list.");
        if (value.GetArrayLength() > most) throw new BadInputException(Path(name), $"At most {most} are taken in {Path(name)}.");
        return [.. value.EnumerateArray()];
    }

    public IReadOnlyList<FieldReader> Objects(string name, int most)
    {
        var path = Path(name);
        return [.. List(name, most).Select((item, i) => item.ValueKind == JsonValueKind.Object ? new FieldReader(item, $"{path}[{i}]") : throw new BadInputException($"{path}[{i}]", $"{path}[{i}] must be an object."))];
    }

    /// <summary>Texts or numbers, as written.</summary>
    public IReadOnlyList<string> Texts(string name, int most)
    {
        var path = Path(name);
        return [.. List(name, most).Select((item, i) => item.ValueKind switch
        {
            JsonValueKind.String when item.GetString()!.Trim() is { Length: > 0 and <= 100 } text => text,
            JsonValueKind.Number => item.GetRawText(),
            _ => throw new BadInputException($"{path}[{i}]", $"{path}[{i}] must be text."),
        })];
    }

    public IReadOnlyList<Guid> Ids(string name, int most)
    {
        var path = Path(name);
        return [.. List(name, most).Select((item, i) => item.ValueKind == JsonValueKind.String && Guid.TryParse(item.GetString(), out var id) ? id : throw new BadInputException($"{path}[{i}]", $"{path}[{i}] must be an identifier (a UUID)."))];
    }
}
