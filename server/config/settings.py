"""Settings, from the environment that the launcher prepares. Safe by default: debug off, loopback only."""

from pathlib import Path

import environ
import structlog

from .built import kept_for_good

env = environ.Env()

ROOT = Path(__file__).resolve().parent.parent.parent
WEB_DIST = Path(env("HEMICYCLE_WEB_DIST", default=str(ROOT / "web" / "dist")))

SECRET_KEY = env("HEMICYCLE_SECRET")
DEBUG = env.bool("HEMICYCLE_DEBUG", default=False)  # set by `./hemicycle dev` alone
# Behind a TLS proxy: the names it is reached by. docs/service.md says what the proxy has to send.
PUBLIC_HOSTS: list[str] = env.list("HEMICYCLE_HOSTS", default=[])
ALLOWED_HOSTS = ["127.0.0.1", "localhost", "[::1]", *PUBLIC_HOSTS]
CSRF_TRUSTED_ORIGINS: list[str] = [f"https://{host}" for host in PUBLIC_HOSTS]

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "rest_framework",
    "drf_spectacular",
    "axes",
    "shop",
    "customers",
    "rack",
    "fitting",
    "handover",
    "demo",
    "live",
]

MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "config.middleware.SafeHeaders",
    "common.asked.AskedMiddleware",
    "servestatic.middleware.ServeStaticMiddleware",
    "django.middleware.gzip.GZipMiddleware",  # inside: files are packed when they are built
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
]

ROOT_URLCONF = "config.urls"
ASGI_APPLICATION = "config.asgi.application"

# A process shares a few connections among its requests; one that finds none free waits, then is told to come back.
DATABASES = {"default": env.db("DATABASE_URL")}
DATABASES["default"].setdefault("OPTIONS", {})["pool"] = {
    "min_size": 0,
    "max_size": env.int("HEMICYCLE_CONNECTIONS", default=12),
    "timeout": 10,
    "max_idle": 60,
}
DATABASES["default"]["CONN_HEALTH_CHECKS"] = True  # one that died with the database is not handed out
# Behind a pooler that hands out a connection a transaction no statement is kept prepared.
POOLED = env.bool("HEMICYCLE_POOLED", default=False)
# Nor are notices heard through it: PostgreSQL's own address, where DATABASE_URL is the pooler's.
LISTEN_URL = env("HEMICYCLE_LISTEN_URL", default="")
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTH_USER_MODEL = "shop.User"
AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 10}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
AXES_FAILURE_LIMIT = env.int("HEMICYCLE_SIGN_IN_TRIES", default=8)
AXES_COOLOFF_TIME = 0.25  # hours
# By name and address together: wrong tries from elsewhere lock nobody out. The address is the connection's own, or
# what the one proxy that uvicorn was told to trust says it is; axes itself reads no forwarding header.
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_RESET_ON_SUCCESS = True
SILENCED_SYSTEM_CHECKS = ["axes.W002"]  # its middleware would answer a lock-out with a page; the view says it in words
AXES_VERBOSE = False

# Costs an attacker memory as well as time, and someone who signs in a third of a second instead of one and a half.
PASSWORD_HASHERS = [
    "shop.hashing.OneAtATime",  # scrypt
    "django.contrib.auth.hashers.PBKDF2PasswordHasher",  # of accounts made before; renewed at their next sign-in
]

SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = bool(PUBLIC_HOSTS)
SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
SESSION_COOKIE_AGE = 14 * 24 * 3600
CSRF_COOKIE_SAMESITE = "Lax"  # read by the front end, so not http-only; the session cookie is
CSRF_FAILURE_VIEW = "common.problems.csrf_failure"
X_FRAME_OPTIONS = "DENY"
SECURE_CONTENT_TYPE_NOSNIFF = True
SECURE_REFERRER_POLICY = "same-origin"

LANGUAGE_CODE = "en-gb"
TIME_ZONE = "UTC"
USE_TZ = True
USE_I18N = False

# What opens a shop of one's own where no demo is looked at: shown by the launcher, to whoever started it.
OPENING = env("HEMICYCLE_OPENING", default="")

# Where the launcher keeps the daily backups, and how often it makes one; none where it was told of no folder.
BACKUPS = Path(env("HEMICYCLE_BACKUPS")) if env("HEMICYCLE_BACKUPS", default="") else None
BACKUPS_KEPT = env.int("HEMICYCLE_BACKUPS_KEPT", default=14)
BACKUP_HOURS = env.int("HEMICYCLE_BACKUP_HOURS", default=24) if BACKUPS else 0

# Where this server is reached on its own machine, told by the launcher: behind a proxy a request's port is another.
OWN_ADDRESS = env("HEMICYCLE_ADDRESS", default="")

# The built front end is served from the site's root by ServeStatic, which speaks ASGI.
STATIC_URL = "/static/"
SERVESTATIC_ROOT = str(WEB_DIST)
SERVESTATIC_USE_STATIC_ROOT = False
SERVESTATIC_INDEX_FILE = False
SERVESTATIC_USE_FINDERS = False
SERVESTATIC_AUTOREFRESH = False
SERVESTATIC_ADD_HEADERS_FUNCTION = kept_for_good
DATA_UPLOAD_MAX_MEMORY_SIZE = 8 * 1024 * 1024

REST_FRAMEWORK = {
    "DEFAULT_AUTHENTICATION_CLASSES": ["shop.sign_ins.ShopSession"],
    "DEFAULT_PERMISSION_CLASSES": ["common.policy.SignedIn"],
    "DEFAULT_RENDERER_CLASSES": ["common.words.JSONInWords"],
    "DEFAULT_PARSER_CLASSES": ["common.parsing.StrictJSONParser"],
    "DEFAULT_SCHEMA_CLASS": "drf_spectacular.openapi.AutoSchema",
    "EXCEPTION_HANDLER": "common.problems.handle",
    "UNAUTHENTICATED_USER": "django.contrib.auth.models.AnonymousUser",
}
SPECTACULAR_SETTINGS = {
    "TITLE": "Hemicycle",
    "VERSION": "1",
    "DESCRIPTION": "Lengths in metres, speeds in m/s, angles in degrees, spin in rpm; right is positive.",
    "SERVE_INCLUDE_SCHEMA": False,
    "COMPONENT_SPLIT_REQUEST": True,
    "POSTPROCESSING_HOOKS": [
        "drf_spectacular.hooks.postprocess_schema_enums",
        "common.document.answers_are_whole",
    ],
    "ENUM_GENERATE_CHOICE_DESCRIPTION": False,
    # One name for one set of words, whatever the fields are called.
    "ENUM_NAME_OVERRIDES": {
        "Firmness": "hemicycle_core.flight.Firmness",
        "Fear": "hemicycle_core.brief.Fear",
        "FlightWish": "hemicycle_core.brief.FlightWish",
        "ReplaceWay": "hemicycle_core.brief.ReplaceWay",
        "GapOrder": "hemicycle_core.bag.GapOrder",
        "GapRule": "hemicycle_core.bag.GapRule",
        "Outcome": "hemicycle_core.protocols.found.Outcome",
        "Ball": "hemicycle_core.runs.Ball",
        "Bend": "hemicycle_core.rack.stock.Bend",
        "Hand": "hemicycle_core.rack.stock.MadeForHand",
        "Made": "hemicycle_core.rack.stock.Made",
        "HeadType": "hemicycle_core.bag.HeadType",
        "Intent": "hemicycle_core.shots.Intent",
        "DayKind": "hemicycle_core.samples.day.DayKind",
        "JobKind": "hemicycle_core.brief.JobKind",
        "Lie": "hemicycle_core.impact.Lie",
        "Liking": "hemicycle_core.judge.Liking",
        "PlayerMode": "hemicycle_core.judge.feel.PlayerMode",
        "Miss": "hemicycle_core.brief.Miss",
        "Source": "hemicycle_core.shots.Source",
        "Wear": "hemicycle_core.rack.stock.Wear",
        "BagEnd": "hemicycle_core.bag.BagEnd",
        "School": "hemicycle_core.wedges.School",
        "Delivery": "hemicycle_core.wedges.Delivery",
        "Complaint": "hemicycle_core.wedges.Complaint",
        "Finish": "hemicycle_core.wedges.Finish",
        "WedgeWish": "hemicycle_core.wedges.WedgeWish",
        "Claim": "hemicycle_core.judge.claims.Claim",
        "Strike": "hemicycle_core.shots.Strike",
        "Turf": "hemicycle_core.protocols.sole.kept.TurfSaid",
        "LoftRole": "hemicycle_core.protocols.sole.kept.LoftRole",
        "SoleControl": "hemicycle_core.protocols.sole.kept.Control",
        "Wish": "hemicycle_core.brief.Wish",
        "VerdictKind": "hemicycle_core.judge.Kind",
        "Metric": "hemicycle_core.judge.Metric",
        "ChangeKind": "hemicycle_core.judge.ChangeKind",
    },
}

structlog.configure(
    processors=[
        structlog.contextvars.merge_contextvars,
        structlog.processors.add_log_level,
        structlog.processors.TimeStamper(fmt="iso"),
        structlog.processors.KeyValueRenderer(key_order=["timestamp", "level", "event"]),
    ]
)
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "handlers": {"console": {"class": "logging.StreamHandler"}},
    "loggers": {
        "django": {"handlers": ["console"], "level": "WARNING"},
        "axes": {"handlers": ["console"], "level": "ERROR"},
    },
}
