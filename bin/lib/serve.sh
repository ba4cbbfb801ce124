# The shop's file and its server, for bin/start.

copies=${SHOP_COPIES:-storage/app/copies}

# A whole copy, whoever writes meanwhile; the ten last are kept.
copy_shop() { # file, why
    mkdir -p "$copies"
    local to
    to="$copies/shop-$(date +%Y%m%d-%H%M%S)-$2.sqlite"
    php bin/lib/shop-file.php copy "$1" "$to" || stop "No copy of the shop could be made before going on, so nothing was changed. Make room on the disk, then start again."
    say "A copy of the shop is in $to"
    ls -1t "$copies"/shop-*.sqlite 2>/dev/null | tail -n +11 | xargs -r rm -f
}

# Looks at the shop's file before anything is done to it, brings it up to this version, and fills it where it is new.
open_shop() {
    local db=${DB_DATABASE:-database/database.sqlite} state new=0 last backup log
    state=$(php bin/lib/shop-file.php look "$db")
    last=$(ls -1t "$copies"/shop-*.sqlite 2>/dev/null | head -n 1 || true)
    backup=$(ls -1t "${BACKUP_DIR:-storage/app/backups}"/shop-*.zip 2>/dev/null | head -n 1 || true)
    case $state in
    nowhere) stop "There is no folder $(dirname "$db") for the shop's file. Make it, or name another file in DB_DATABASE." ;;
    read-only) stop "The shop's file can't be written: $db. Give the right to write it and its folder back, then start again." ;;
    damaged*)
        [ -z "$backup" ] || stop "The shop's file is damaged: $db (${state#damaged }). Bring the last backup back, which puts the damaged file aside, then start again:
  bin/restore '$backup'"
        [ -z "$last" ] || stop "The shop's file is damaged: $db (${state#damaged }). It was left as it is. Put the last copy in its place, then start again:
  cp '$last' '$db'"
        stop "The shop's file is damaged: $db (${state#damaged }). It was left as it is. Put your own copy of it in its place, then start again."
        ;;
    foreign) stop "$db is a database of something else: it was left as it is. Name another file in DB_DATABASE." ;;
    missing | blank)
        if [ $fresh = 0 ] && [ $empty = 0 ] && { [ -n "$last$backup" ] || [ -n "$(find "${PHOTO_DIR:-storage/app/photos}" -name '*.jpg' -print -quit 2>/dev/null)" ]; }; then
            [ -z "$backup" ] || stop "The shop's file is gone: $db, but there are backups of a shop here. Bring the last one back:
  bin/restore '$backup'
Or begin anew, with the demo (bin/start --fresh) or without it (bin/start --empty)."
            stop "The shop's file is gone: $db, but there are photographs or copies of a shop here.
${last:+Put the last copy back:  cp '$last' '$db'
}Or begin anew, with the demo (bin/start --fresh) or without it (bin/start --empty)."
        fi
        new=1
        : >"$db"
        ;;
    esac
    if [ $new = 0 ] && php artisan migrate:status --pending 2>/dev/null | grep -q Pending; then
        copy_shop "$db" before-migrating
    fi
    if [ $fresh = 1 ] && [ $new = 0 ]; then
        copy_shop "$db" before-fresh
        say "Putting the demo shop back ..."
        log=$(php artisan migrate:fresh --force --no-ansi 2>&1) || stop "The shop could not be made anew: $(reason "$log")"
        new=1
    else
        log=$(php artisan migrate --force --no-ansi 2>&1) || stop "The shop's file could not be brought up to this version; it is as it was, and a copy of it is in $copies. The reason: $(reason "$log")"
    fi
    if [ $new = 1 ] && [ $empty = 0 ]; then
        php artisan db:seed --force --quiet || stop "The demo jobs could not be filled in. The reason is in storage/logs."
        say "A new shop with demo jobs. To begin without them: bin/start --empty"
    elif [ $new = 1 ]; then
        say "A new shop, empty."
    elif [ "$state" = "good 0" ]; then
        say "The shop is empty. Demo jobs come with bin/start --fresh."
    fi
}

WORKERS=4

# A group of its own, so that all of it ends together.
serve() { # port
    local log=storage/logs/server.log
    [ "$(stat -c %s $log 2>/dev/null || echo 0)" -lt 1000000 ] || mv -f $log $log.1
    set -m
    PHP_CLI_SERVER_WORKERS=$WORKERS php -d opcache.enable_cli=1 -d opcache.validate_timestamps=1 -d display_errors=0 -d expose_php=0 -d max_execution_time=20 -d memory_limit=512M -d post_max_size=24M -q -S "127.0.0.1:$1" -t public bin/lib/router.php </dev/null 2>>$log &
    server=$!
    set +m
    printf '%s %s\n' "$$" "$server" >"storage/framework/server-$1.pid"
}

end_server() {
    [ -n "${server:-}" ] && kill -- "-$server" 2>/dev/null
    rm -f storage/framework/server-*.pid.new
    return 0
}

# Workers of a start that was killed hold the port still.
end_left_behind() { # port
    local file="storage/framework/server-$1.pid" starter group
    [ -f "$file" ] || return 0
    read -r starter group <"$file" || return 0
    kill -0 "$starter" 2>/dev/null && grep -qs bin/start "/proc/$starter/cmdline" && return 0
    local pid
    for pid in $(pgrep -g "$group" 2>/dev/null || true); do
        grep -qs bin/lib/router.php "/proc/$pid/cmdline" && kill "$pid" 2>/dev/null
    done
    rm -f "$file"
    sleep 0.3
}

# How many of its workers are alive; all where this system does not say.
workers() {
    local list="/proc/$server/task/$server/children" pid alive=0
    if [ ! -r "$list" ]; then
        echo $WORKERS
        return
    fi
    for pid in $(cat "$list"); do
        # One that was ended stays in the list until its parent looks.
        grep -qs '^State:[[:space:]]*Z' "/proc/$pid/status" || alive=$((alive + 1))
    done
    echo $alive
}

# Starts the server, and starts it anew where it or one of its workers was ended.
keep_serving() { # port
    local soon=0 began
    while :; do
        serve "$1"
        began=$(date +%s)
        sleep 1 &
        wait $! || true
        while kill -0 "$server" 2>/dev/null && [ "$(workers)" -ge "$WORKERS" ]; do
            sleep 1 &
            wait $! || true
        done
        kill -- "-$server" 2>/dev/null || true
        wait "$server" 2>/dev/null || true
        if [ $(($(date +%s) - began)) -lt 5 ]; then soon=$((soon + 1)); else soon=0; fi
        [ $soon -lt 4 ] || stop "The server stopped again and again. The reason is in storage/logs/server.log: $(tail -n 2 storage/logs/server.log 2>/dev/null)"
        say "A worker was ended: the server is started anew."
    done
}
