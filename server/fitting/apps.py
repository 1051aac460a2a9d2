from django.apps import AppConfig


class FittingConfig(AppConfig):
    name = "fitting"

    def ready(self) -> None:
        from .actions.changes import shots_are_drawn_by
        from .api.present.bay import seen_at_once
        from .domain.agreed import answers_are_made_by

        shots_are_drawn_by(seen_at_once)
        answers_are_made_by(_all_answers)


def _all_answers(ready):  # type: ignore[no-untyped-def]
    from .api.answers import all_answers  # every view: wanted only once something is agreed

    return all_answers(ready)
