using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace ZeroDrift.Contract.Input;

/// <summary>
/// Doubles go out with ten significant digits: sin, exp, log and pow differ in the last bits between a server and a browser, and their answers
/// must be the same bytes.
/// </summary>
public sealed class TenDigits : JsonConverter<double>
{
    public override double Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => reader.GetDouble();

    public override void Write(Utf8JsonWriter writer, double value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        if (!double.IsFinite(value)) throw new Core.BadInputException("body", "These figures lead to no finite answer; check their sizes.");
        writer.WriteNumberValue(Round(value));
    }

    /// <summary>The value at ten significant digits; thresholds are compared at this rounding. Minus zero is zero.</summary>
    public static double Round(double value)
    {
        if (value == 0 || !double.IsFinite(value)) return value == 0 ? 0 : value;
        return double.Parse(value.ToString("E9", CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
    }
}
