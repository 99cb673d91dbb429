using System.Text.Json;
using System.Text.Json.Serialization;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Data.Outlooks;

/// <summary>Engine hours as a bare number in a kept outlook, at ten digits as every figure there.</summary>
internal sealed class HoursAsNumber : JsonConverter<EngineHours>
{
    public override EngineHours Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => EngineHours.Of(reader.GetDouble());

    public override void Write(Utf8JsonWriter writer, EngineHours value, JsonSerializerOptions options) => writer.WriteNumberValue(TenDigits.Round(value));
}
