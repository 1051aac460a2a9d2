"""A bay that is closed: nothing is begun there any more."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("shop", "0001_to_0006")]

    operations = [
        migrations.AddField(
            model_name="bay",
            name="closed_at",
            field=models.DateTimeField(
                help_text="Nothing is begun there any more; what was hit there stays.", null=True
            ),
        ),
    ]
