using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace ZeroDrift.Server.OpenApi;

/// <summary>In what comes in, a field that may be null may be left out; the generated document would call it required.</summary>
internal static class OptionalFields
{
    public static Task Apply(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        var name = context.JsonTypeInfo.Type.Name;
        if (schema.Required is null || !(name.EndsWith("Request", StringComparison.Ordinal) || name.EndsWith("Dto", StringComparison.Ordinal) || name.EndsWith("Settings", StringComparison.Ordinal))) return Task.CompletedTask;
        foreach (var property in context.JsonTypeInfo.Properties)
            if (property.IsSetNullable || property.AssociatedParameter?.IsNullable == true || Nullable.GetUnderlyingType(property.PropertyType) is not null) schema.Required.Remove(property.Name);
        return Task.CompletedTask;
    }
}
