from django.apps import AppConfig


class FittingConfig(AppConfig):
    name = "fitting"
