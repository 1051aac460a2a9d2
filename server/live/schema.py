"""How the API document names the feed's key."""

from drf_spectacular.extensions import OpenApiAuthenticationExtension


class MonitorKeyScheme(OpenApiAuthenticationExtension):  # type: ignore[no-untyped-call]
    target_class = "live.views.MonitorKey"
    name = "monitorKey"

    def get_security_definition(self, auto_schema: object) -> dict[str, str]:
        return {"type": "http", "scheme": "bearer"}
