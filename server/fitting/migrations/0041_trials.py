"""One pair of tables for every test: what stood in seven comes over, as it was and by the numbers it had where the trail
or an open page names it. What was agreed stays agreed: it is watched from then on as before."""

from importlib import import_module

import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models

BEFORE = import_module("fitting.migrations.0011_agreed_stays_agreed")

PAGES = "hand_out, hand_out_device, hand_out_opened_at, course, course_until"
NO_PAGES = "'', '', NULL::timestamptz, '', NULL::timestamptz"
OVER = f"""
INSERT INTO fitting_trial (id, shop_id, session_id, test, at, setter_id, version, body, revealed_at, stopped_at, {PAGES})
SELECT id, shop_id, session_id, 'sole', at, setter_id, 1, jsonb_build_object(
    'blind', blind, 'loft_deg', loft_deg, 'wedge', wedge_id, 'places', places, 'returns', returns, 'short', short,
    'seed', seed, 'control', control, 'control_is', nullif(control_is, ''), 'twice', twice, 'guess', guess,
    'confidence', confidence, 'chosen', chosen, 'codes', (
        SELECT coalesce(jsonb_agg(jsonb_build_object(
            'build', code.build_id, 'head', code.head_id, 'shaft', code.shaft_id, 'bend_deg', code.bend_deg,
            'club', code.club_id, 'role', nullif(code.role, ''), 'taped', code.taped
        ) ORDER BY code.number), '[]') FROM fitting_solecode code WHERE code.test_id = test.id
    )
), revealed_at, stopped_at, {PAGES} FROM fitting_soletest test;
INSERT INTO fitting_trialevent (id, shop_id, session_id, trial_id, at, kind, body, words, void)
SELECT id, shop_id, session_id, test_id, at, 'handing', jsonb_build_object(
    'code', code, 'place', place, 'visit', visit, 'duel', duel, 'said', said, 'best', best, 'turf', nullif(turf, ''),
    'groove', groove, 'left_m', left_m
), CASE WHEN sound = '' THEN '{{}}' ELSE jsonb_build_object('sound', sound) END, void FROM fitting_solehanding;
SELECT setval(pg_get_serial_sequence('fitting_trial', 'id'), coalesce(max(id), 0) + 1, false) FROM fitting_trial;
SELECT setval(pg_get_serial_sequence('fitting_trialevent', 'id'), coalesce(max(id), 0) + 1, false)
    FROM fitting_trialevent;
INSERT INTO fitting_trialevent (shop_id, session_id, trial_id, at, kind, body, words, void)
SELECT shop_id, session_id, test_id, at, 'course', jsonb_build_object(
    'played_on', played_on, 'code', code, 'place', place, 'first', first, 'by_player', by_player
), CASE WHEN word = '' THEN '{{}}' ELSE jsonb_build_object('word', word) END, false
FROM fitting_coursenote ORDER BY id;
INSERT INTO fitting_trial (shop_id, session_id, test, at, setter_id, version, body, revealed_at, stopped_at, {PAGES})
SELECT shop_id, session_id, 'grooves', at, setter_id, 1, jsonb_build_object(
    'old', old_id, 'fresh', fresh_id, 'one', one_id, 'two', two_id, 'one_is_old', one_is_old, 'guess', guess_id,
    'confidence', confidence
), revealed_at, stopped_at, {NO_PAGES} FROM fitting_blindgrooves ORDER BY id;
INSERT INTO fitting_trial (shop_id, session_id, test, at, setter_id, version, body, revealed_at, stopped_at, {PAGES})
SELECT test.shop_id, test.session_id, 'stop', coalesce(
    (SELECT min(at) FROM fitting_stopseen seen WHERE seen.session_id = test.session_id), visit.agreed_at, now()
), NULL, 1, jsonb_build_object(
    'target_m', target_m, 'firmness', test.firmness, 'green_ft', test.green_ft, 'slope_percent', slope_percent,
    'wind_mps', test.wind_mps, 'wind_from_deg', test.wind_from_deg
), NULL, NULL, {NO_PAGES} FROM fitting_stoptest test JOIN fitting_fittingsession visit ON visit.id = test.session_id
ORDER BY test.id;
INSERT INTO fitting_trial (shop_id, session_id, test, at, setter_id, version, body, revealed_at, stopped_at, {PAGES})
SELECT visit.shop_id, visit.id, 'stop', min(seen.at), NULL, 1, jsonb_build_object('firmness', visit.firmness), NULL, NULL,
    {NO_PAGES} FROM fitting_stopseen seen JOIN fitting_fittingsession visit ON visit.id = seen.session_id
WHERE NOT EXISTS (SELECT 1 FROM fitting_stoptest test WHERE test.session_id = visit.id) GROUP BY visit.id;
INSERT INTO fitting_trialevent (shop_id, session_id, trial_id, at, kind, body, words, void)
SELECT seen.shop_id, seen.session_id, trial.id, seen.at, 'seen', jsonb_build_object(
    'build', build_id, 'ball', ball, 'target_m', target_m, 'landed_m', landed_m, 'stopped_m', stopped_m,
    'stopped_side_m', stopped_side_m, 'landed_side_m', landed_side_m, 'balls', balls
), '{{}}', aside FROM fitting_stopseen seen
JOIN fitting_trial trial ON trial.session_id = seen.session_id AND trial.test = 'stop' ORDER BY seen.id;
"""
WATCHED = "".join(BEFORE.watch(table, "session") for table in ("fitting_trial", "fitting_trialevent"))


class Migration(migrations.Migration):
    dependencies = [
        ("fitting", "0040_judged_once"),
        ("shop", "0009_units"),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.CreateModel(
            name="Trial",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("test", models.CharField(help_text="The key of its protocol.", max_length=16)),
                ("at", models.DateTimeField(auto_now_add=True)),
                (
                    "version",
                    models.PositiveSmallIntegerField(
                        default=1, help_text="Of the shape of its body and of its events'."
                    ),
                ),
                ("body", models.JSONField(help_text="How it is set up.")),
                ("revealed_at", models.DateTimeField(null=True)),
                ("stopped_at", models.DateTimeField(help_text="Given up, never revealed.", null=True)),
                (
                    "hand_out",
                    models.CharField(
                        blank=True, help_text="Opens the assistant's page; empty: none was.", max_length=12
                    ),
                ),
                (
                    "hand_out_device",
                    models.CharField(blank=True, help_text="The one device that has it open.", max_length=32),
                ),
                ("hand_out_opened_at", models.DateTimeField(null=True)),
                (
                    "course",
                    models.CharField(blank=True, help_text="Opens the player's notes of the course.", max_length=12),
                ),
                ("course_until", models.DateTimeField(null=True)),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="trials", to="fitting.fittingsession"
                    ),
                ),
                (
                    "setter",
                    models.ForeignKey(
                        help_text="Who set it up.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="TrialEvent",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("kind", models.CharField(help_text="What of its test it is.", max_length=16)),
                ("body", models.JSONField()),
                ("words", models.JSONField(default=dict, help_text="Of it what are somebody's own words.")),
                ("void", models.BooleanField(default=False, help_text="Taken back, or set aside.")),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "trial",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="events", to="fitting.trial"
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.RunSQL(OVER),
        # Links between rows are checked at once: a table with checks that wait cannot be changed.
        migrations.RunSQL("SET CONSTRAINTS ALL IMMEDIATE"),
        migrations.DeleteModel(name="CourseNote"),
        migrations.DeleteModel(name="SoleHanding"),
        migrations.DeleteModel(name="SoleCode"),
        migrations.DeleteModel(name="SoleTest"),
        migrations.DeleteModel(name="StopSeen"),
        migrations.DeleteModel(name="StopTest"),
        migrations.DeleteModel(name="BlindGrooves"),
        migrations.AddConstraint(
            model_name="trial",
            constraint=models.UniqueConstraint(
                condition=models.Q(("hand_out", ""), _negated=True),
                fields=("hand_out",),
                name="a_hand_out_is_of_one_trial",
            ),
        ),
        migrations.AddConstraint(
            model_name="trial",
            constraint=models.UniqueConstraint(
                condition=models.Q(("course", ""), _negated=True), fields=("course",), name="a_course_is_of_one_trial"
            ),
        ),
        migrations.AddConstraint(
            model_name="trial",
            constraint=models.UniqueConstraint(
                condition=models.Q(("revealed_at", None), ("stopped_at", None)),
                fields=("session", "test"),
                name="one_trial_of_a_test_goes_on",
            ),
        ),
        migrations.RunSQL(WATCHED),
    ]
