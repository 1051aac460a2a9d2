from django.apps import AppConfig


class ShopConfig(AppConfig):
    name = "shop"

    def ready(self) -> None:
        from . import schema  # noqa: F401 (registers itself; needs the apps loaded)
