from django.apps import AppConfig


class FeedConfig(AppConfig):
    name = "feed"

    def ready(self) -> None:
        from . import schema  # noqa: F401, PLC0415 (registers itself; needs the apps loaded)
