package dev.ambershim.core.runs.reading;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Names of columns in plain English words, so that one set of rules reads them all. A name is put
 * in small letters without accents, its parts are set apart, and what it says in German, French,
 * Spanish, Polish, Italian, Russian or Chinese is turned into English. The words are common
 * practice; a new language is one more word in each line.
 */
final class ColumnWords {
  /**
   * An English word and what stands for it. A star takes any ending; a word without one may be
   * followed by another of the table, as German writes them.
   */
  private static final String[] TABLE = {
    "core = kern kerne kernen coeur coeurs nucleo nucleos nuclei rdzen rdzenia rdzeni rdzeniu ядро ядра"
        + " ядер 核心 内核",
    "package = paket gehause paquet boitier paquete encapsulado pacchetto pakiet pakietu obudowa"
        + " obudowy корпус* пакет* упаковк* 封装 封裝",
    "processor = prozessor processeur procesador processore procesor* процессор* цп 处理器 處理器",
    "temperature = temperatur temperaturen temperature temperatures temperatura temperatury"
        + " temperaturze temperaturas temperature температур* темп 温度 溫度",
    "voltage = spannung voltaje tension tensione tensioni voltaggio napiecie napiecia напряжени* 电压 電壓",
    "fan = lufter luefter ventilateur ventilateurs ventilo ventilador ventiladores ventola ventole"
        + " wentylator* вентилятор* кулер* 风扇 風扇",
    "speed = drehzahl drehzahlen geschwindigkeit vitesse velocidad velocita predkosc obrot* оборот*"
        + " скорост* 转速 轉速",
    "clock = takt taktrate taktfrequenz frequenz frequenzen frequence frequences horloge frecuencia"
        + " reloj frequenza taktowani* zegar* czestotliwosc частот* 频率 頻率 时钟 時鐘",
    "power = leistung leistungsaufnahme puissance consommation potencia consumo potenza moc mocy pobor"
        + " мощност* потреблени* 功耗 功率",
    "room = raum zimmer piece salle habitacion sala stanza pokoj pokoju pomieszczen* комнат* помещени*"
        + " 房间 房間",
    "room temperature = 室温 室溫",
    "ambient = umgebung umgebungs ambiant ambiante ambiance ambiente otoczeni* окружающ* среды 环境 環境",
    "air = luft aire aria powietrz* воздух*",
    "coolant = kuhlmittel kuhlwasser wasser eau liquide agua liquido refrigerante acqua woda wody ciecz"
        + " cieczy chlodziw* вода воды жидкост* 冷却液 冷卻液 水温 水溫",
    "pump = pumpe pumpen pompe bomba pompa pompy насос* помп* 水泵",
    "load = last auslastung charge carga carico obciazeni* нагрузк* загрузк* 负载 負載 使用率 占用率",
    "time = zeit zeitstempel uhrzeit heure horodatage tiempo hora tempo ora czas godzina время 时间 時間",
    "date = datum fecha дата 日期",
    "average = mittel mittelwert durchschnitt moyenne moyen promedio medio media sredni* средн* 平均",
    "maximum = maximal hochst maximale maximo massimo massima maksymaln* maks макс* 最大 最高",
    "minimum = minimal niedrigst minimale minimo minimal minimaln* мин* 最小 最低",
    "limit = grenze grenzwert limite limites granica limit* предел* лимит* 上限 限制",
    "distance = abstand distancia distanza ecart odleglosc запас* расстояни* 距离 距離",
    "total = gesamt totale totaal calkowit* общ* 总",
    "throttling = drosselung bridage estrangulamiento dlawieni* троттлинг* 降频 降頻",
    "value = wert messwert valeur valor valore wartosc значени* 数值 數值",
    "sensor = fuhler messstelle capteur sensore czujnik* датчик* 传感器 傳感器",
    "unit = einheit unite unidad unita jednostka единиц* 单位 單位",
  };

  private static final Pattern CAMEL =
      Pattern.compile("(?<=[a-z]{2})(?=[A-Z])|(?<=[A-Z]{2})(?=[A-Z][a-z]{2})");
  private static final Pattern MARKS = Pattern.compile("\\p{M}+");
  private static final Pattern BETWEEN = Pattern.compile("[_\\[\\](){}:.,/\"'|=<>-]+");

  /** Turns a minute: their "min" is no lowest figure. */
  private static final Pattern A_MINUTE = Pattern.compile("[\\p{L}1]*/(min|мин|分)");

  private static final Pattern BLANKS = Pattern.compile("\\s+");

  private static final Map<String, String> WORDS = new HashMap<>();
  private static final Map<String, String> STEMS = new HashMap<>();
  private static final Map<String, String> SIGNS = new HashMap<>();
  private static final Pattern SIGN;

  static {
    for (String line : TABLE) {
      String[] sides = line.split(" = ", 2);
      for (String word : sides[1].split(" ", -1)) {
        String key = bare(word);
        if (Character.UnicodeScript.of(key.charAt(0)) == Character.UnicodeScript.HAN) {
          SIGNS.put(key, sides[0]);
        } else if (key.endsWith("*")) {
          STEMS.put(key.substring(0, key.length() - 1), sides[0]);
        } else {
          WORDS.put(key, sides[0]);
        }
      }
    }
    SIGN =
        Pattern.compile(
            SIGNS.keySet().stream()
                .sorted((a, b) -> b.length() - a.length())
                .collect(Collectors.joining("|")));
  }

  private ColumnWords() {}

  /** A name in small English words with single blanks between them. */
  static String plain(String name) {
    String bare = A_MINUTE.matcher(bare(CAMEL.matcher(name).replaceAll(" "))).replaceAll(" ");
    Matcher signs = SIGN.matcher(bare);
    String latin = signs.replaceAll(m -> " " + SIGNS.get(m.group()) + " ");
    StringBuilder all = new StringBuilder();
    for (String word : BLANKS.split(BETWEEN.matcher(latin).replaceAll(" ").strip(), -1)) {
      all.append(all.length() == 0 ? "" : " ").append(english(word));
    }
    return all.toString();
  }

  /** How many of a text's words the table knows; tells one reading of its bytes from another. */
  static int known(String text) {
    int known = 0;
    String bare = bare(text);
    Matcher signs = SIGN.matcher(bare);
    while (signs.find()) {
      known++;
    }
    for (String word : bare.split("[^\\p{L}]+", -1)) {
      known += word.isEmpty() || english(word).equals(word) ? 0 : 1;
    }
    return known;
  }

  /** Small letters without accents. */
  private static String bare(String text) {
    boolean ascii = true;
    for (int i = 0; i < text.length() && ascii; i++) {
      ascii = text.charAt(i) < 128;
    }
    String small = text.toLowerCase(Locale.ROOT);
    if (ascii) {
      return small;
    }
    return MARKS
        .matcher(Normalizer.normalize(small, Normalizer.Form.NFKD))
        .replaceAll("")
        .replace('ł', 'l')
        .replace("ß", "ss")
        .replace("œ", "oe");
  }

  /** A word in English, with the figures behind it; itself if the table does not know it. */
  private static String english(String word) {
    StringBuilder all = new StringBuilder();
    int at = 0;
    while (at < word.length()) {
      int end = word.length();
      String found = null;
      for (; end > at && found == null; end--) {
        found = WORDS.get(word.substring(at, end));
        if (found == null) {
          found = STEMS.get(word.substring(at, end));
          if (found != null) {
            int letters = end;
            while (letters < word.length() && Character.isLetter(word.charAt(letters))) {
              letters++;
            }
            end = letters;
            break;
          }
        } else {
          break;
        }
      }
      if (found == null) {
        boolean figures = at > 0 && !Character.isLetter(word.charAt(at));
        // German puts an s between two words.
        if (at > 0 && word.charAt(at) == 's' && at + 1 < word.length()) {
          at++;
          continue;
        }
        return figures ? all.append(' ').append(word.substring(at)).toString() : word;
      }
      all.append(all.length() == 0 ? "" : " ").append(found);
      at = end;
    }
    return all.toString();
  }
}
