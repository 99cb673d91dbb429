using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace ZeroDrift.Server.OpenApi;

/// <summary>
/// Says plainly what our own converters write: a double is a number, and a word list holds words. Whether a field may be null is said at the field.
/// </summary>
internal static class PlainTypes
{
    public static Task Apply(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var type = context.JsonTypeInfo.Type;
        if (type == typeof(double)) (schema.Type, schema.Format) = (JsonSchemaType.Number, "double");
        if (type == typeof(double?)) (schema.Type, schema.Format) = (JsonSchemaType.Number | JsonSchemaType.Null, "double");
        if (typeof(IEnumerable<double>).IsAssignableFrom(type)) schema.Items = new OpenApiSchema { Type = JsonSchemaType.Number, Format = "double" };
        if (schema.Enum is { Count: > 0 } words && (Nullable.GetUnderlyingType(type) ?? type).IsEnum)
        {
            schema.Enum = [.. words.Where(w => w is not null && w.GetValueKind() == System.Text.Json.JsonValueKind.String)];
            schema.Type = JsonSchemaType.String;
        }
        return Task.CompletedTask;
    }
}
