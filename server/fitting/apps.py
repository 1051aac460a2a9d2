from django.apps import AppConfig


class FittingConfig(AppConfig):
    name = "fitting"

    def ready(self) -> None:
        from .actions.changes import shots_are_drawn_by
        from .api.present.bay import drawn_shot

        shots_are_drawn_by(drawn_shot)
