from django.apps import AppConfig


class LiveConfig(AppConfig):
    name = "live"
    label = "feed"  # what its tables and migrations have been called from the first

    def ready(self) -> None:
        from . import schema  # noqa: F401 (registers itself; needs the apps loaded)
