"""How far a club's shots scatter, where that was typed with its average."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("fitting", "0036_typed_shots")]

    operations = [
        migrations.AddField(
            model_name="build",
            name="typed_spread_m",
            field=models.FloatField(
                help_text="Spread of the balls that a typed average is made of; null: the usual one.", null=True
            ),
        ),
    ]
